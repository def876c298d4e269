#include "notebook/Check.h"

#include "notebook/Place.h"
#include "notebook/Replay.h"
#include "notebook/Rows.h"
#include "notebook/RunLevels.h"
#include "notebook/RunStore.h"
#include "notebook/Schema.h"
#include "notebook/Seals.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <functional>
#include <limits>
#include <map>
#include <set>

namespace anodex::notebook {
namespace {

using Faults = std::vector<std::string>;

constexpr std::size_t kMostOfAKind = 20;

std::vector<std::string> column(SQLite::Database& database, const std::string& sql) {
    std::vector<std::string> values;
    SQLite::Statement query(database, sql);
    while (query.executeStep()) {
        values.push_back(query.getColumn(0).getString());
    }
    return values;
}

void pages(SQLite::Database& database, Faults& faults) {
    for (std::string line : column(database, "PRAGMA integrity_check(20)")) {
        if (line != "ok") {
            std::replace(line.begin(), line.end(), '\n', ' ');
            faults.push_back(line);
        }
    }
}

void tables(SQLite::Database& database, Faults& faults) {
    for (const std::string& fault : {missingFrom(database), foreignIn(database)}) {
        if (!fault.empty()) {
            faults.push_back(fault);
        }
    }
}

std::string sealText(SQLite::Database& database, const SealFault& fault) {
    using Kind = SealFault::Kind;
    const std::string place = placeOf(database, fault.table, fault.row);
    switch (fault.kind) {
    case Kind::Differs:
        return place + " is not as it was written";
    case Kind::NotSealed:
        return place + " was not written by this program";
    case Kind::Missing:
        return place + " is gone";
    case Kind::TableDiffers:
        return fmt::format("the number or the checksum of all rows of {} is not as it was", fault.table);
    }
    return {};
}

void seals(SQLite::Database& database, Faults& faults) {
    std::map<std::string, std::size_t> ofTable;
    for (const SealFault& fault : sealFaultsIn(database)) {
        if (++ofTable[fault.table] <= kMostOfAKind) {
            faults.push_back(sealText(database, fault));
        }
    }
    for (const auto& [table, count] : ofTable) {
        if (count > kMostOfAKind) {
            faults.push_back(fmt::format("{} more of {}", count - kMostOfAKind, table));
        }
    }
}

void orphans(SQLite::Database& database, Faults& faults) {
    SQLite::Statement keys(database, "PRAGMA foreign_key_check");
    while (keys.executeStep()) {
        faults.push_back(fmt::format("a row of {} belongs to nothing", keys.getColumn(0).getString()));
    }
    for (const char* table : {"run_chunk", "run_tail", "channel"}) {
        if (!database.tableExists(table)) {
            continue; // of a later version
        }
        for (const std::string& run :
             column(database, fmt::format("SELECT DISTINCT run FROM {} WHERE run NOT IN (SELECT id FROM run)",
                                          table))) {
            faults.push_back(fmt::format("there are samples of a run {} that is not there", run));
        }
    }
    for (const std::string& name :
         column(database, "SELECT name FROM revision WHERE parent <> '' AND parent NOT IN "
                          "(SELECT id FROM revision)")) {
        faults.push_back(fmt::format("the design \"{}\" descends from one that is not there", name));
    }
}

void circles(SQLite::Database& database, Faults& faults) {
    std::map<std::string, std::pair<std::string, std::string>> designs; // id to parent and name
    SQLite::Statement query(database, "SELECT id, coalesce(parent, ''), name FROM revision");
    while (query.executeStep()) {
        designs[query.getColumn(0).getString()] = {query.getColumn(1).getString(),
                                                   query.getColumn(2).getString()};
    }
    for (const auto& [id, design] : designs) {
        std::set<std::string> seen;
        std::string at = id;
        while (!at.empty() && designs.contains(at) && seen.insert(at).second) {
            at = designs[at].first;
        }
        if (at == id) {
            faults.push_back(fmt::format("the design \"{}\" descends from itself", design.second));
        }
    }
}

/// Reads through the same functions the program uses; what they refuse is a fault.
void rows(SQLite::Database& database, Faults& faults) {
    const auto readable = [&](const std::string& what, const std::function<void()>& read) {
        try {
            read();
        } catch (const RowFault& fault) {
            faults.push_back(what + " cannot be read: " + fault.text);
        }
    };
    const auto all = [](const auto& list) { return list.size(); };
    readable("a design", [&] { all(revisionRows(database)); });
    readable("a build", [&] { all(buildRows(database)); });
    readable("a document", [&] { all(documentRows(database)); });
    for (const std::string& build : column(database, "SELECT id FROM build")) {
        readable("a reading of " + placeOf(database, "build", build),
                 [&] { all(readingRows(database, build)); });
    }
    for (const char* sql :
         {"SELECT 'project ' || id FROM project WHERE typeof(created) <> 'integer'",
          "SELECT 'event ' || id FROM event WHERE typeof(happened) <> 'integer'",
          "SELECT 'run ' || id FROM run WHERE typeof(samples) <> 'integer' OR samples < 0 OR "
          "typeof(duration) NOT IN ('real', 'integer') OR duration < 0"}) {
        for (const std::string& row : column(database, sql)) {
            faults.push_back(row + " holds an impossible value");
        }
    }
}

/// What is wrong with a run's samples, looked at part after part; empty when nothing is.
std::string faultOf(SQLite::Database& database, const std::string& run) {
    std::string fault;
    double last = -std::numeric_limits<double>::infinity();
    eachPart(database, run, [&](const Columns& columns) {
        for (const std::span<const double> values : columns) {
            const bool finite =
                std::all_of(values.begin(), values.end(), [](double value) { return std::isfinite(value); });
            fault = finite ? fault : "a sample is no number";
        }
        for (const double seconds : columns.front()) {
            fault = !fault.empty() || seconds > last ? fault : "its time does not rise";
            last = seconds;
        }
    });
    return fault;
}

void runs(SQLite::Database& database, Faults& faults, const std::stop_token& stop) {
    const bool hasUnfinished = database.tableExists("unfinished");
    for (const std::string& run :
         column(database, hasUnfinished ? "SELECT id FROM run WHERE id NOT IN (SELECT run FROM unfinished)"
                                        : "SELECT id FROM run")) {
        if (stop.stop_requested()) {
            return;
        }
        try {
            const std::string fault = faultOf(database, run);
            if (!fault.empty()) {
                faults.push_back(placeOf(database, "run", run) + ": " + fault);
            }
        } catch (const RowFault& fault) {
            faults.push_back(placeOf(database, "run", run) + ": " + fault.text);
        }
    }
}

void levels(SQLite::Database& database, Faults& faults) {
    for (const std::string& run : runsWithWrongLevels(database)) {
        faults.push_back("the outline of " + placeOf(database, "run", run) + " is not that of its samples");
    }
}

void history(SQLite::Database& database, Faults& faults) {
    if (const auto step = stepThatDoesNotReplay(database)) {
        faults.push_back(
            fmt::format("step {} of the history no longer fits what is there; undo ends at it", *step));
    }
}

} // namespace

std::vector<std::string> faultsIn(SQLite::Database& database, const std::stop_token& stop) {
    Faults faults;
    const auto look = [&](const auto& kind) {
        if (stop.stop_requested()) {
            return;
        }
        try {
            kind(database, faults);
        } catch (const SQLite::Exception& exception) {
            faults.push_back(exception.what()); // damage that the pages' own check did not see
        }
    };
    look(pages);
    look(tables);
    if (!missingFrom(database).empty()) {
        return faults;
    }
    look(seals);
    look(orphans);
    look(circles);
    look(rows);
    look([&](SQLite::Database& in, Faults& into) { runs(in, into, stop); });
    look(levels);
    look(history);
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
