#include "notebook/Changeset.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <memory>
#include <sqlite3.h>

namespace anodex::notebook {
namespace {

/// The library reads whole numbers of eight bytes without asking how many are left.
constexpr std::size_t kPadding = 16;

struct FreeSqlite {
    void operator()(void* memory) const { sqlite3_free(memory); }
};

void require(int code) {
    if (code != SQLITE_OK) {
        throw SQLite::Exception(sqlite3_errstr(code), code);
    }
}

/// Reads the bytes by their form alone, as the head of SQLite's sqlite3session.c tells it: tables of "T", a
/// number of columns, a flag for each, a name and a zero; then changes of a kind, a flag, and one value for
/// each column, twice for an update.
class Form {
public:
    explicit Form(const Bytes& bytes) : m_bytes(bytes) {}

    [[nodiscard]] bool sound() {
        while (m_good && m_at < m_bytes.size()) {
            const int first = byte();
            if (first == 'T') {
                table();
            } else {
                change(first);
            }
        }
        return m_good;
    }

private:
    enum Type { Undefined = 0, Integer = 1, Real = 2, Text = 3, Blob = 4, Null = 5 };
    static constexpr std::uint64_t kMostColumns = 100;

    int byte() {
        m_good = m_good && m_at < m_bytes.size();
        return m_good ? m_bytes[m_at++] : 0;
    }
    void skip(std::uint64_t count) {
        m_good = m_good && count <= m_bytes.size() - m_at;
        m_at += m_good ? count : 0;
    }
    /// Seven bits a byte, the highest first; no length here needs more than five bytes.
    std::uint64_t length() {
        std::uint64_t value = 0;
        for (int i = 0; i < 5; ++i) {
            const int next = byte();
            value = value << 7 | static_cast<std::uint64_t>(next & 0x7f);
            if (next < 0x80) {
                return value;
            }
        }
        m_good = false;
        return 0;
    }
    void table() {
        m_columns = length();
        m_good = m_good && m_columns > 0 && m_columns <= kMostColumns;
        skip(m_columns);
        while (byte() != 0) {
        }
    }
    void change(int kind) {
        m_good = m_good && m_columns > 0 &&
                 (kind == SQLITE_INSERT || kind == SQLITE_UPDATE || kind == SQLITE_DELETE);
        byte();
        for (std::uint64_t values = kind == SQLITE_UPDATE ? 2 * m_columns : m_columns; values > 0; --values) {
            value();
        }
    }
    void value() {
        const int type = byte();
        if (type == Integer || type == Real) {
            skip(sizeof(std::int64_t));
        } else if (type == Text || type == Blob) {
            skip(length());
        } else {
            m_good = m_good && (type == Undefined || type == Null);
        }
    }

    const Bytes& m_bytes;
    std::size_t m_at = 0;
    std::uint64_t m_columns = 0;
    bool m_good = true;
};

std::string textOf(sqlite3_value* value) {
    const auto* text = reinterpret_cast<const char*>(sqlite3_value_text(value));
    return text != nullptr ? std::string(text) : std::string();
}

/// The bytes with room behind them; read once by their form and once by the library.
class Walked {
public:
    explicit Walked(const Bytes& changeset) : m_bytes(changeset), m_size(static_cast<int>(changeset.size())) {
        require(Form(changeset).sound() ? SQLITE_OK : SQLITE_CORRUPT);
        m_bytes.resize(m_bytes.size() + kPadding);
        sqlite3_changeset_iter* walk = nullptr;
        require(sqlite3changeset_start(&walk, m_size, m_bytes.data()));
        int found = SQLITE_ROW;
        while ((found = sqlite3changeset_next(walk)) == SQLITE_ROW) {
            note(walk);
        }
        const int ended = sqlite3changeset_finalize(walk);
        require(found == SQLITE_DONE ? ended : SQLITE_CORRUPT);
    }

    [[nodiscard]] void* data() { return m_bytes.data(); }
    [[nodiscard]] int size() const { return m_size; }
    std::set<std::pair<std::string, std::string>> rows;

private:
    void note(sqlite3_changeset_iter* walk) {
        const char* table = nullptr;
        int columns = 0;
        int kind = 0;
        sqlite3changeset_op(walk, &table, &columns, &kind, nullptr);
        sqlite3_value* id = nullptr;
        if (kind == SQLITE_INSERT) {
            sqlite3changeset_new(walk, 0, &id);
        } else {
            sqlite3changeset_old(walk, 0, &id);
        }
        rows.emplace(table, textOf(id));
    }

    Bytes m_bytes;
    int m_size;
};

} // namespace

std::set<std::pair<std::string, std::string>> rowsTouched(const Bytes& changeset) {
    return changeset.empty() ? std::set<std::pair<std::string, std::string>>() : Walked(changeset).rows;
}

Bytes inverted(const Bytes& changeset) {
    if (changeset.empty()) {
        return {};
    }
    Walked walked(changeset);
    int size = 0;
    void* raw = nullptr;
    require(sqlite3changeset_invert(walked.size(), walked.data(), &size, &raw));
    const std::unique_ptr<void, FreeSqlite> owner(raw);
    const auto* bytes = static_cast<const unsigned char*>(raw);
    return {bytes, bytes + size};
}

void applyTo(SQLite::Database& database, const Bytes& changeset) {
    if (changeset.empty()) {
        return;
    }
    Walked walked(changeset);
    const auto abortOnConflict = [](void*, int, sqlite3_changeset_iter*) { return SQLITE_CHANGESET_ABORT; };
    require(sqlite3changeset_apply(database.getHandle(), walked.size(), walked.data(), nullptr,
                                   abortOnConflict, nullptr));
}

} // namespace anodex::notebook
