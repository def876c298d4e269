#include "notebook/Seals.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <SQLiteCpp/VariadicBind.h>
#include <fmt/format.h>
#include <map>
#include <memory>
#include <optional>
#include <sqlite3.h>
#include <utility>
#include <xxhash.h>

namespace anodex::notebook {
namespace {

class Checksum {
public:
    Checksum() : m_state(XXH3_createState()) { XXH3_64bits_reset(m_state.get()); }

    void add(const SQLite::Column& column) {
        const int type = column.getType();
        add(&type, sizeof type);
        switch (type) {
        case SQLITE_INTEGER: {
            const std::int64_t value = column.getInt64();
            add(&value, sizeof value);
            break;
        }
        case SQLITE_FLOAT: {
            const double value = column.getDouble();
            add(&value, sizeof value);
            break;
        }
        case SQLITE_NULL:
            break;
        default: {
            const int length = column.getBytes();
            add(&length, sizeof length);
            add(column.getBlob(), static_cast<std::size_t>(length));
        }
        }
    }
    [[nodiscard]] std::int64_t value() const {
        return static_cast<std::int64_t>(XXH3_64bits_digest(m_state.get()));
    }

private:
    struct Free {
        void operator()(XXH3_state_t* state) const { XXH3_freeState(state); }
    };
    void add(const void* bytes, std::size_t count) { XXH3_64bits_update(m_state.get(), bytes, count); }

    std::unique_ptr<XXH3_state_t, Free> m_state;
};

/// Of the columns from `first` on.
std::int64_t sumOf(SQLite::Statement& row, int first) {
    Checksum checksum;
    for (int i = first; i < row.getColumnCount(); ++i) {
        checksum.add(row.getColumn(i));
    }
    return checksum.value();
}

std::int64_t wrappingSum(std::int64_t a, std::int64_t b) {
    return static_cast<std::int64_t>(static_cast<std::uint64_t>(a) + static_cast<std::uint64_t>(b));
}

std::int64_t negated(std::int64_t value) {
    return static_cast<std::int64_t>(0 - static_cast<std::uint64_t>(value));
}

std::optional<std::int64_t> sealOf(SQLite::Database& database, const std::string& table,
                                   const std::string& row) {
    SQLite::Statement query(database, "SELECT sum FROM seal WHERE of_table = ? AND row = ?");
    SQLite::bind(query, table, row);
    return query.executeStep() ? std::optional(query.getColumn(0).getInt64()) : std::nullopt;
}

void addToTable(SQLite::Database& database, const std::string& table, int rows, std::int64_t sum) {
    std::int64_t total = 0;
    {
        SQLite::Statement query(database, "SELECT total FROM table_seal WHERE of_table = ?");
        query.bind(1, table);
        total = query.executeStep() ? query.getColumn(0).getInt64() : 0;
    }
    SQLite::Statement put(database,
                          "INSERT INTO table_seal VALUES (?, ?, ?) ON CONFLICT(of_table) DO UPDATE SET "
                          "rows = rows + excluded.rows, total = excluded.total");
    SQLite::bind(put, table, rows, wrappingSum(total, sum));
    put.exec();
}

const SealedTable& sealedTable(const std::string& name) {
    for (const SealedTable& table : kSealedTables) {
        if (name == table.name) {
            return table;
        }
    }
    throw SQLite::Exception("no sealed table " + name);
}

/// The columns of the table's own key, so that its index finds the row.
std::vector<std::string> keyOf(const std::string& table) {
    if (table == "run_chunk") {
        return {"run", "chunk", "column_name"};
    }
    if (table == "run_tail") {
        return {"run", "sample"};
    }
    if (table == "channel") {
        return {"run", "number"};
    }
    return {table == "import_mapping" ? "signature" : table == "view_state" ? "key" : "id"};
}

/// The row's name, parted from its end; the first part may hold the mark itself.
void bindRow(SQLite::Statement& query, std::string row, std::size_t parts) {
    for (std::size_t i = parts; i > 1; --i) {
        const std::size_t at = row.rfind('/');
        query.bind(static_cast<int>(i), row.substr(at + 1));
        row.resize(at);
    }
    query.bind(1, row);
}

/// Of the row as it stands; none where it is gone.
std::optional<std::int64_t> sumNow(SQLite::Database& database, const std::string& table,
                                   const std::string& row) {
    const std::vector<std::string> key = keyOf(table);
    std::string condition;
    for (std::size_t i = 0; i < key.size(); ++i) {
        condition += fmt::format("{}{} = ?{}", i == 0 ? "" : " AND ", key[i], i + 1);
    }
    SQLite::Statement query(database,
                            fmt::format("SELECT * FROM {} WHERE {}", sealedTable(table).name, condition));
    bindRow(query, row, key.size());
    return query.executeStep() ? std::optional(sumOf(query, 0)) : std::nullopt;
}

using Seals = std::map<std::string, std::int64_t>;

Seals sealsOf(SQLite::Database& database, const char* table) {
    Seals seals;
    SQLite::Statement query(database, "SELECT row, sum FROM seal WHERE of_table = ?");
    query.bind(1, table);
    while (query.executeStep()) {
        seals[query.getColumn(0).getString()] = query.getColumn(1).getInt64();
    }
    return seals;
}

bool tableAgrees(SQLite::Database& database, const char* table, const Seals& seals) {
    std::int64_t total = 0;
    for (const auto& [row, sum] : seals) {
        total = wrappingSum(total, sum);
    }
    SQLite::Statement query(database, "SELECT rows, total FROM table_seal WHERE of_table = ?");
    query.bind(1, table);
    const bool there = query.executeStep();
    const std::int64_t rows = there ? query.getColumn(0).getInt64() : 0;
    return rows == static_cast<std::int64_t>(seals.size()) &&
           (there ? query.getColumn(1).getInt64() : 0) == total;
}

} // namespace

void sealEverything(SQLite::Database& database) {
    for (const SealedTable& table : kSealedTables) {
        if (!database.tableExists(table.name)) {
            continue; // of a later version
        }
        SQLite::Statement rows(database, fmt::format("SELECT {}, * FROM {}", table.rowName, table.name));
        SQLite::Statement put(database, "INSERT INTO seal VALUES (?, ?, ?)");
        while (rows.executeStep()) {
            const std::int64_t sum = sumOf(rows, 1);
            SQLite::bind(put, table.name, rows.getColumn(0).getString(), sum);
            put.exec();
            put.reset();
            addToTable(database, table.name, 1, sum);
        }
    }
}

void sealRow(SQLite::Database& database, const std::string& table, const std::string& row) {
    const std::optional<std::int64_t> before = sealOf(database, table, row);
    const std::optional<std::int64_t> now = sumNow(database, table, row);
    if (before == now) {
        return;
    }
    SQLite::Statement change(database, now ? "INSERT OR REPLACE INTO seal VALUES (?1, ?2, ?3)"
                                           : "DELETE FROM seal WHERE of_table = ?1 AND row = ?2");
    change.bind(1, table);
    change.bind(2, row);
    if (now) {
        change.bind(3, *now);
    }
    change.exec();
    addToTable(database, table, (now ? 1 : 0) - (before ? 1 : 0),
               wrappingSum(now.value_or(0), negated(before.value_or(0))));
}

void sealChanged(SQLite::Database& database, const Bytes& changeset) {
    for (const auto& [table, row] : rowsTouched(changeset)) {
        sealRow(database, table, row);
    }
}

bool sealBroken(SQLite::Database& database, const std::string& table, const std::string& row) {
    const std::optional<std::int64_t> sealed = sealOf(database, table, row);
    const std::optional<std::int64_t> now = sumNow(database, table, row);
    return sealed && now && sealed != now;
}

bool sealHolds(SQLite::Database& database, const std::string& table, const std::string& row) {
    const std::optional<std::int64_t> sealed = sealOf(database, table, row);
    return sealed && sealed == sumNow(database, table, row);
}

std::vector<SealFault> sealFaultsIn(SQLite::Database& database) {
    using Kind = SealFault::Kind;
    std::vector<SealFault> faults;
    if (!database.tableExists("seal")) {
        return faults;
    }
    for (const SealedTable& table : kSealedTables) {
        if (!database.tableExists(table.name)) {
            continue; // of a later version
        }
        Seals seals = sealsOf(database, table.name);
        if (!tableAgrees(database, table.name, seals)) {
            faults.push_back({Kind::TableDiffers, table.name, {}});
        }
        SQLite::Statement rows(database, fmt::format("SELECT {}, * FROM {}", table.rowName, table.name));
        while (rows.executeStep()) {
            const std::string row = rows.getColumn(0).getString();
            const auto seal = seals.find(row);
            if (seal == seals.end()) {
                faults.push_back({Kind::NotSealed, table.name, row});
                continue;
            }
            if (seal->second != sumOf(rows, 1)) {
                faults.push_back({Kind::Differs, table.name, row});
            }
            seals.erase(seal);
        }
        for (const auto& [row, sum] : seals) {
            faults.push_back({Kind::Missing, table.name, row});
        }
    }
    return faults;
}

} // namespace anodex::notebook
