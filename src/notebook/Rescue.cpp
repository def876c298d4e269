// rescueNotebook: the rows of a damaged notebook that can still be read, one by one.
#include "notebook/ColumnCopy.h"
#include "notebook/Connection.h"
#include "notebook/Copies.h"
#include "notebook/Guard.h"
#include "notebook/Place.h"
#include "notebook/RunChannels.h"
#include "notebook/RunLevels.h"
#include "notebook/RunStore.h"
#include "notebook/Schema.h"
#include "notebook/Seals.h"

#include <algorithm>
#include <filesystem>
#include <fmt/format.h>
#include <map>
#include <set>

namespace anodex::notebook {
namespace {

// Those a row may belong to come first.
constexpr const char* kTables[] = {"project",   "revision", "build",          "reading",
                                   "event",     "run",      "document",       "channel",
                                   "run_chunk", "run_tail", "import_mapping", "view_state"};
// Files of earlier versions have none, and lose nothing by it.
constexpr const char* kLaterTables[] = {"channel", "run_tail"};
constexpr std::int64_t kMostProbes = 1'000'000;

class Rescue {
public:
    Rescue(SQLite::Database& from, SQLite::Database& to) : m_from(from), m_to(to) {}

    std::vector<base::Said> run() {
        SQLite::Transaction transaction(m_to);
        for (const char* table : kTables) {
            takeTable(table);
        }
        dropUnreadable();
        shortenRuns();
        rebuildLevels(m_to);
        m_to.exec("DELETE FROM seal");
        m_to.exec("DELETE FROM table_seal");
        sealEverything(m_to);
        transaction.commit();
        return std::move(m_lost);
    }

private:
    void lose(const base::Said& what) { m_lost.push_back(what); }
    void lose(const char* id, const char* table) { lose({id, {{"table", std::string(table)}}}); }

    void takeTable(const char* table) {
        try {
            if (!m_from.tableExists(table)) {
                const bool later = versionOf(m_from) < kSchemaVersion &&
                                   std::find(std::begin(kLaterTables), std::end(kLaterTables),
                                             std::string(table)) != std::end(kLaterTables);
                if (!later) {
                    lose("notebook.lost-table", table);
                }
                return;
            }
        } catch (const SQLite::Exception&) {
            lose("notebook.lost-table", table);
            return;
        }
        m_taken.clear();
        const bool whole = takeRows(table, "ORDER BY rowid");
        if (!whole) {
            takeRows(table, "ORDER BY rowid DESC");
            probeBetween(table);
            lose("notebook.lost-rows", table);
        }
    }

    /// False when the reading broke off.
    bool takeRows(const char* table, const char* order) {
        try {
            SQLite::Statement read(m_from,
                                   fmt::format("SELECT rowid, * FROM {} NOT INDEXED {}", table, order));
            while (read.executeStep()) {
                takeRow(table, read);
            }
            return true;
        } catch (const SQLite::Exception&) {
            return false;
        }
    }

    /// Rows that neither way reached: behind one damaged page there may be sound ones.
    void probeBetween(const char* table) {
        if (m_taken.empty() || *m_taken.rbegin() - *m_taken.begin() > kMostProbes) {
            return;
        }
        for (std::int64_t row = *m_taken.begin(); row < *m_taken.rbegin(); ++row) {
            if (m_taken.contains(row)) {
                continue;
            }
            try {
                SQLite::Statement read(
                    m_from, fmt::format("SELECT rowid, * FROM {} NOT INDEXED WHERE rowid = ?", table));
                read.bind(1, row);
                if (read.executeStep()) {
                    takeRow(table, read);
                }
            } catch (const SQLite::Exception&) {
                continue;
            }
        }
    }

    void takeRow(const char* table, SQLite::Statement& read) {
        if (!m_taken.insert(read.getColumn(0).getInt64()).second) {
            return;
        }
        try {
            SQLite::Statement write(m_to, insertionOf(table, read, 1));
            insertLike(write, read, 1);
        } catch (const SQLite::Exception&) {
            lose("notebook.lost-row", table);
        }
    }

    /// What the program's own reading refuses, and what hangs on it.
    void dropUnreadable() {
        const auto drop = [&](const char* table, const std::string& id) {
            lose(placeOf(m_to, table, id));
            for (const std::string& sql : {std::string("DELETE FROM reading WHERE build = ?1 OR build IN "
                                                       "(SELECT id FROM build WHERE revision = ?1)"),
                                           std::string("DELETE FROM event WHERE build = ?1 OR build IN "
                                                       "(SELECT id FROM build WHERE revision = ?1)"),
                                           std::string("DELETE FROM build WHERE revision = ?1"),
                                           fmt::format("DELETE FROM {} WHERE id = ?1", table)}) {
                SQLite::Statement remove(m_to, sql);
                remove.bind(1, id);
                remove.exec();
            }
        };
        for (const char* table : {"revision", "build", "document", "reading"}) {
            for (const std::string& id : unreadableRows(m_to, table)) {
                drop(table, id);
            }
        }
        m_to.exec("UPDATE revision SET parent = '' WHERE parent NOT IN (SELECT id FROM revision)");
    }

    void shortenRuns() {
        std::vector<std::pair<std::string, std::int64_t>> runs;
        SQLite::Statement query(m_to, "SELECT id, samples FROM run");
        while (query.executeStep()) {
            runs.emplace_back(query.getColumn(0).getString(), query.getColumn(1).getInt64());
        }
        for (const auto& [run, samples] : runs) {
            const std::int64_t sound = soundChunks(run);
            const std::int64_t inChunks = std::min(samples, sound * static_cast<std::int64_t>(kChunkSamples));
            if (inChunks == samples || inChunks + soundTail(run, inChunks) == samples) {
                continue;
            }
            const std::int64_t kept = inChunks;
            dropTail(m_to, run);
            lose({"notebook.run-ends-after",
                  {{"run", std::vector{placeOf(m_to, "run", run)}},
                   {"held", std::to_string(kept)},
                   {"of", std::to_string(samples)}}});
            SQLite::Statement cut(m_to, "DELETE FROM run_chunk WHERE run = ? AND chunk >= ?");
            cut.bind(1, run);
            cut.bind(2, sound);
            cut.exec();
            SQLite::Statement shorten(
                m_to, "UPDATE run SET samples = ?1, duration = coalesce((SELECT max(last) - "
                      "min(first) FROM run_chunk WHERE run = ?2 AND column_name = 0), 0) WHERE id = ?2");
            shorten.bind(1, kept);
            shorten.bind(2, run);
            shorten.exec();
        }
    }

    /// Samples of the tail that follow the chunks without a gap, as they were written.
    std::int64_t soundTail(const std::string& run, std::int64_t from) {
        const auto columns = static_cast<std::int64_t>(channelsOf(m_to, run).size());
        SQLite::Statement query(
            m_to, "SELECT sample, samples, length(data) FROM run_tail WHERE run = ? ORDER BY sample");
        query.bind(1, run);
        std::int64_t next = from;
        while (query.executeStep()) {
            const std::int64_t samples = query.getColumn(1).getInt64();
            const bool whole = query.getColumn(0).getInt64() == next && samples > 0 &&
                               query.getColumn(2).getInt64() == 8 * samples * columns;
            if (!whole || differing().contains(fmt::format("{}/{}", run, next))) {
                return 0;
            }
            next += samples;
        }
        return next - from;
    }

    /// How many chunks from the first on are whole, and as they were written.
    std::int64_t soundChunks(const std::string& run) {
        SQLite::Statement query(
            m_to, "SELECT chunk, column_name, samples, length(data) FROM run_chunk WHERE run = ? "
                  "ORDER BY chunk, column_name");
        query.bind(1, run);
        const auto perChunk = static_cast<std::int64_t>(channelsOf(m_to, run).size());
        std::int64_t columns = 0;
        while (query.executeStep()) {
            const std::int64_t chunk = query.getColumn(0).getInt64();
            const bool whole = chunk == columns / perChunk &&
                               query.getColumn(1).getInt64() == columns % perChunk &&
                               query.getColumn(3).getInt64() == 8 * query.getColumn(2).getInt64();
            const std::string row = fmt::format("{}/{}/{}", run, chunk, query.getColumn(1).getInt64());
            if (!whole || differing().contains(row)) {
                break;
            }
            ++columns;
        }
        return columns / perChunk;
    }

    /// Chunks that are not as they were written, where the damaged file can still say so.
    const std::set<std::string>& differing() {
        if (!m_differing) {
            m_differing.emplace();
            try {
                for (const SealFault& fault : sealFaultsIn(m_from)) {
                    if ((fault.table == "run_chunk" || fault.table == "run_tail") &&
                        fault.kind == SealFault::Kind::Differs) {
                        m_differing->insert(fault.row);
                    }
                }
            } catch (const SQLite::Exception&) {
                m_differing->clear();
            }
        }
        return *m_differing;
    }

    SQLite::Database& m_from;
    SQLite::Database& m_to;
    std::set<std::int64_t> m_taken;
    std::optional<std::set<std::string>> m_differing;
    std::vector<base::Said> m_lost;
};

} // namespace

Answer<Rescued> rescueNotebook(const std::string& damaged, const std::string& fresh) {
    return guarded([&] {
        if (std::filesystem::exists(fresh)) {
            throw NotebookError{NotebookError::Code::Exists, fresh};
        }
        const auto from = openForReading(damaged);
        Rescued rescued;
        try {
            SQLite::Database to(fresh, SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE);
            createSchema(to);
            to.exec("PRAGMA foreign_keys = ON");
            rescued.lost = Rescue(*from, to).run();
        } catch (...) {
            std::error_code ignored;
            std::filesystem::remove(fresh, ignored);
            throw;
        }
        auto book = Notebook::open(fresh, OpenMode::Read);
        if (!book) {
            throw book.error();
        }
        const auto counts = book->counts();
        if (!counts) {
            throw counts.error();
        }
        rescued.kept = *counts;
        return rescued;
    });
}

} // namespace anodex::notebook
