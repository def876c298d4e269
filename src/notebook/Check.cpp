#include "notebook/Check.h"

#include "notebook/Rows.h"
#include "notebook/Schema.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <fmt/format.h>

namespace anodex::notebook {
namespace {

void integrity(SQLite::Database& database, std::vector<std::string>& faults) {
    SQLite::Statement query(database, "PRAGMA integrity_check(20)");
    while (query.executeStep()) {
        const std::string line = query.getColumn(0).getString();
        if (line != "ok") {
            faults.push_back(line);
        }
    }
    SQLite::Statement keys(database, "PRAGMA foreign_key_check");
    while (keys.executeStep()) {
        faults.push_back(fmt::format("a row of {} belongs to nothing", keys.getColumn(0).getString()));
    }
}

void runs(SQLite::Database& database, std::vector<std::string>& faults) {
    SQLite::Statement query(
        database, "SELECT r.name, r.samples, coalesce(sum(c.samples), 0), coalesce(min(length(c.data) = 8 * "
                  "c.samples), 1), "
                  "coalesce(count(c.run), 0) FROM run r LEFT JOIN run_chunk c ON c.run = r.id GROUP BY r.id");
    while (query.executeStep()) {
        const std::int64_t expected = 3 * query.getColumn(1).getInt64();
        if (query.getColumn(2).getInt64() != expected || query.getColumn(3).getInt() == 0) {
            faults.push_back(fmt::format("the run \"{}\" lacks samples", query.getColumn(0).getString()));
        }
    }
}

} // namespace

std::vector<std::string> faultsIn(SQLite::Database& database) {
    std::vector<std::string> faults;
    integrity(database, faults);
    if (!faults.empty()) {
        return faults;
    }
    runs(database, faults);
    try {
        (void)revisionRows(database);
        (void)buildRows(database);
    } catch (const RowFault& fault) {
        faults.push_back("a design cannot be read: " + fault.text);
    }
    return faults;
}

std::string dumpOf(SQLite::Database& database) {
    std::string text;
    for (const char* table : kUndoableTables) {
        if (!database.tableExists(table)) {
            continue; // of an earlier version
        }
        SQLite::Statement query(database, fmt::format("SELECT * FROM {} ORDER BY id", table));
        while (query.executeStep()) {
            text += table;
            for (int i = 0; i < query.getColumnCount(); ++i) {
                text += '|';
                text += query.getColumn(i).isNull() ? "-" : query.getColumn(i).getString();
            }
            text += '\n';
        }
    }
    return text;
}

} // namespace anodex::notebook
