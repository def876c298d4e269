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

using Faults = std::vector<base::Said>;

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
            faults.emplace_back(line);
        }
    }
}

void tables(SQLite::Database& database, Faults& faults) {
    for (const base::Said& fault : {missingFrom(database), foreignIn(database)}) {
        if (!fault.empty()) {
            faults.push_back(fault);
        }
    }
}

base::Said sealSaid(SQLite::Database& database, const SealFault& fault) {
    using Kind = SealFault::Kind;
    const std::vector<base::Said> place{placeOf(database, fault.table, fault.row)};
    switch (fault.kind) {
    case Kind::Differs:
        return {"notebook.differs", {{"place", place}}};
    case Kind::NotSealed:
        return {"notebook.not-sealed", {{"place", place}}};
    case Kind::Missing:
        return {"notebook.gone", {{"place", place}}};
    case Kind::TableDiffers:
        return {"notebook.table-differs", {{"table", fault.table}}};
    }
    return {};
}

void seals(SQLite::Database& database, Faults& faults) {
    std::map<std::string, std::size_t> ofTable;
    for (const SealFault& fault : sealFaultsIn(database)) {
        if (++ofTable[fault.table] <= kMostOfAKind) {
            faults.push_back(sealSaid(database, fault));
        }
    }
    for (const auto& [table, count] : ofTable) {
        if (count > kMostOfAKind) {
            faults.push_back(
                {"notebook.more-of", {{"count", std::to_string(count - kMostOfAKind)}, {"table", table}}});
        }
    }
}

void orphans(SQLite::Database& database, Faults& faults) {
    SQLite::Statement keys(database, "PRAGMA foreign_key_check");
    while (keys.executeStep()) {
        faults.push_back({"notebook.row-of-nothing", {{"table", keys.getColumn(0).getString()}}});
    }
    for (const char* table : {"run_chunk", "run_tail", "channel"}) {
        if (!database.tableExists(table)) {
            continue; // of a later version
        }
        for (const std::string& run :
             column(database, fmt::format("SELECT DISTINCT run FROM {} WHERE run NOT IN (SELECT id FROM run)",
                                          table))) {
            faults.push_back({"notebook.samples-of-nothing", {{"run", run}}});
        }
    }
    for (const std::string& name :
         column(database, "SELECT name FROM revision WHERE parent <> '' AND parent NOT IN "
                          "(SELECT id FROM revision)")) {
        faults.push_back({"notebook.parent-missing", {{"design", name}}});
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
            faults.push_back({"notebook.own-parent", {{"design", design.second}}});
        }
    }
}

/// Reads through the same functions the program uses; what they refuse is a fault.
void rows(SQLite::Database& database, Faults& faults) {
    const auto readable = [&](const base::Said& what, const std::function<void()>& read) {
        try {
            read();
        } catch (const RowFault& fault) {
            faults.push_back(
                {"notebook.cannot-be-read", {{"what", std::vector{what}}, {"why", std::vector{fault.said}}}});
        }
    };
    const auto all = [](const auto& list) { return list.size(); };
    readable("notebook.a-design", [&] { all(revisionRows(database)); });
    readable("notebook.a-build", [&] { all(buildRows(database)); });
    readable("notebook.a-document", [&] { all(documentRows(database)); });
    for (const std::string& build : column(database, "SELECT id FROM build")) {
        readable({"notebook.a-reading", {{"of", std::vector{placeOf(database, "build", build)}}}},
                 [&] { all(readingRows(database, build)); });
    }
    for (const char* sql :
         {"SELECT 'project ' || id FROM project WHERE typeof(created) <> 'integer'",
          "SELECT 'event ' || id FROM event WHERE typeof(happened) <> 'integer'",
          "SELECT 'run ' || id FROM run WHERE typeof(samples) <> 'integer' OR samples < 0 OR "
          "typeof(duration) NOT IN ('real', 'integer') OR duration < 0"}) {
        for (const std::string& row : column(database, sql)) {
            faults.push_back({"notebook.impossible-value", {{"row", row}}});
        }
    }
}

/// What is wrong with a run's samples, looked at part after part; empty when nothing is.
base::Said faultOf(SQLite::Database& database, const std::string& run) {
    base::Said fault;
    double last = -std::numeric_limits<double>::infinity();
    eachPart(database, run, [&](const Columns& columns) {
        for (const std::span<const double> values : columns) {
            const bool finite =
                std::all_of(values.begin(), values.end(), [](double value) { return std::isfinite(value); });
            fault = finite ? fault : base::Said("notebook.sample-no-number");
        }
        for (const double seconds : columns.front()) {
            fault = !fault.empty() || seconds > last ? fault : base::Said("notebook.time-does-not-rise");
            last = seconds;
        }
    });
    return fault;
}

base::Said ofRun(SQLite::Database& database, const std::string& run, const base::Said& fault) {
    return {"notebook.of-run",
            {{"run", std::vector{placeOf(database, "run", run)}}, {"fault", std::vector{fault}}}};
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
            const base::Said fault = faultOf(database, run);
            if (!fault.empty()) {
                faults.push_back(ofRun(database, run, fault));
            }
        } catch (const RowFault& fault) {
            faults.push_back(ofRun(database, run, fault.said));
        }
    }
}

void levels(SQLite::Database& database, Faults& faults) {
    for (const std::string& run : runsWithWrongLevels(database)) {
        faults.push_back({"notebook.outline", {{"run", std::vector{placeOf(database, "run", run)}}}});
    }
}

void history(SQLite::Database& database, Faults& faults) {
    if (const auto step = stepThatDoesNotReplay(database)) {
        faults.push_back({"notebook.step-does-not-fit", {{"step", std::to_string(*step)}}});
    }
}

} // namespace

std::vector<base::Said> faultsIn(SQLite::Database& database, const std::stop_token& stop) {
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
            int columns = query.getColumnCount();
            while (columns > 0 && query.getColumn(columns - 1).isNull()) {
                --columns; // of a later version, perhaps
            }
            text += table;
            for (int i = 0; i < columns; ++i) {
                text += '|';
                text += query.getColumn(i).isNull() ? "-" : query.getColumn(i).getString();
            }
            text += '\n';
        }
    }
    return text;
}

} // namespace anodex::notebook
