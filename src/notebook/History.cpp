#include "notebook/History.h"

#include "formats/SaidJson.h"
#include "notebook/Changeset.h"
#include "notebook/Schema.h"
#include "notebook/Seals.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <memory>
#include <sqlite3.h>

namespace anodex::notebook {
namespace {

struct FreeSqlite {
    void operator()(void* memory) const { sqlite3_free(memory); }
};

void require(int code, SQLite::Database& database) {
    if (code != SQLITE_OK) {
        throw SQLite::Exception(database.getHandle(), code);
    }
}

class Session {
public:
    explicit Session(SQLite::Database& database) : m_database(database) {
        require(sqlite3session_create(database.getHandle(), "main", &m_session), database);
        for (const char* table : kUndoableTables) {
            require(sqlite3session_attach(m_session, table), database);
        }
    }
    ~Session() { sqlite3session_delete(m_session); }
    Session(const Session&) = delete;
    Session& operator=(const Session&) = delete;

    Bytes changeset() {
        int size = 0;
        void* raw = nullptr;
        require(sqlite3session_changeset(m_session, &size, &raw), m_database);
        const std::unique_ptr<void, FreeSqlite> owner(raw);
        const auto* bytes = static_cast<const unsigned char*>(raw);
        return {bytes, bytes + size};
    }

private:
    SQLite::Database& m_database;
    sqlite3_session* m_session = nullptr;
};

/// Applies the newest done entry backwards, or the oldest undone one forwards.
Taken step(SQLite::Database& database, bool back) {
    SQLite::Transaction transaction(database);
    std::int64_t id = 0;
    std::string sentence;
    Bytes changeset;
    {
        SQLite::Statement query(database,
                                back ? "SELECT id, sentence, changeset FROM history WHERE undone = 0 "
                                       "ORDER BY id DESC LIMIT 1"
                                     : "SELECT id, sentence, changeset FROM history WHERE undone = 1 "
                                       "ORDER BY id LIMIT 1");
        if (!query.executeStep()) {
            return {};
        }
        id = query.getColumn(0).getInt64();
        sentence = query.getColumn(1).getString();
        const SQLite::Column blob = query.getColumn(2);
        const auto* bytes = static_cast<const unsigned char*>(blob.getBlob());
        changeset.assign(bytes, bytes + blob.getBytes());
    }
    if (sealBroken(database, "history", std::to_string(id))) {
        throw SQLite::Exception("a step of the history is not as it was written", SQLITE_CORRUPT);
    }
    applyTo(database, back ? inverted(changeset) : changeset);
    sealChanged(database, changeset);
    SQLite::Statement mark(database, "UPDATE history SET undone = ? WHERE id = ?");
    mark.bind(1, back ? 1 : 0);
    mark.bind(2, id);
    mark.exec();
    sealRow(database, "history", std::to_string(id));
    transaction.commit();
    return {formats::readSaid(sentence), rowsTouched(changeset)};
}

/// Steps that `condition` names, with their seals.
void forget(SQLite::Database& database, const char* condition) {
    std::vector<std::int64_t> ids;
    {
        SQLite::Statement query(database, std::string("SELECT id FROM history WHERE ") + condition);
        while (query.executeStep()) {
            ids.push_back(query.getColumn(0).getInt64());
        }
    }
    for (const std::int64_t id : ids) {
        SQLite::Statement remove(database, "DELETE FROM history WHERE id = ?");
        remove.bind(1, id);
        remove.exec();
        sealRow(database, "history", std::to_string(id));
    }
}

} // namespace

void recordCommand(SQLite::Database& database, const base::Said& said, record::Millis now,
                   const std::function<void()>& before, const std::function<void()>& change) {
    SQLite::Transaction transaction(database);
    if (before) {
        before();
    }
    Bytes changeset;
    {
        Session session(database);
        change();
        changeset = session.changeset();
    }
    if (changeset.empty()) {
        transaction.commit(); // it stood so already: nothing to undo, and what was undone can still be redone
        return;
    }
    sealChanged(database, changeset);
    forget(database, "undone = 1");
    SQLite::Statement insert(
        database, "INSERT INTO history (happened, sentence, changeset, undone) VALUES (?, ?, ?, 0)");
    insert.bind(1, now);
    insert.bind(2, formats::writeSaid(said));
    insert.bind(3, changeset.data(), static_cast<int>(changeset.size()));
    insert.exec();
    sealRow(database, "history", std::to_string(database.getLastInsertRowid()));
    static_assert(kHistoryLength == 500);
    forget(database, "id <= (SELECT max(id) FROM history) - 500");
    transaction.commit();
}

Taken undoLast(SQLite::Database& database) {
    return step(database, true);
}
Taken redoNext(SQLite::Database& database) {
    return step(database, false);
}

std::vector<HistoryEntry> historyEntries(SQLite::Database& database) {
    std::vector<HistoryEntry> entries;
    SQLite::Statement query(database, "SELECT id, happened, sentence, undone FROM history ORDER BY id");
    while (query.executeStep()) {
        entries.push_back({query.getColumn(0).getInt64(), query.getColumn(1).getInt64(),
                           formats::readSaid(query.getColumn(2).getString()),
                           query.getColumn(3).getInt() != 0});
    }
    return entries;
}

StepsLeft stepsLeft(SQLite::Database& database) {
    SQLite::Statement query(database, "SELECT EXISTS(SELECT 1 FROM history WHERE undone = 0), "
                                      "EXISTS(SELECT 1 FROM history WHERE undone = 1)");
    query.executeStep();
    return {query.getColumn(0).getInt() != 0, query.getColumn(1).getInt() != 0};
}

} // namespace anodex::notebook
