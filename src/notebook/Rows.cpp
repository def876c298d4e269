#include "notebook/Rows.h"

#include "formats/CellFile.h"
#include "formats/ExpectationJson.h"
#include "notebook/Schema.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <SQLiteCpp/VariadicBind.h>
#include <cmath>

namespace anodex::notebook {
namespace {

using record::Id;

design::CellDesign designFrom(const std::string& text, const Id& row) {
    auto design = formats::readCellFile(text);
    if (!design) {
        throw RowFault{
            base::Said("notebook.row-does-not-read", {{"row", row + ": " + design.error().field},
                                                      {"found", base::plain(design.error().found)}})};
    }
    return *design;
}

/// A stored number of an enumeration that runs from `first` to `last`.
template <typename Enum> Enum enumOf(const SQLite::Column& column, Enum first, Enum last, const Id& row) {
    const std::int64_t value = column.getInt64();
    if (!column.isInteger() || value < static_cast<int>(first) || value > static_cast<int>(last)) {
        throw RowFault{
            base::Said("notebook.stands-for-nothing", {{"row", row}, {"value", column.getString()}})};
    }
    return static_cast<Enum>(value);
}

double numberOf(const SQLite::Column& column, const Id& row) {
    const bool isNumber = column.isFloat() || column.isInteger();
    if (!isNumber || !std::isfinite(column.getDouble())) {
        throw RowFault{base::Said("notebook.no-number", {{"row", row}, {"value", column.getString()}})};
    }
    return column.getDouble();
}

void bindOptional(SQLite::Statement& statement, int index, const std::optional<double>& value) {
    if (value) {
        statement.bind(index, *value);
    } else {
        statement.bind(index);
    }
}

constexpr const char* kProjects = "SELECT id, name, created FROM project";
constexpr const char* kEvents = "SELECT id, build, happened, text, changes_cell FROM event";
constexpr const char* kRuns = "SELECT id, build, name, started, samples, duration, set_aside FROM run";
constexpr const char* kRevisions =
    "SELECT id, project, parent, name, design, created, set_aside FROM revision";
constexpr const char* kBuilds =
    "SELECT id, revision, name, built, as_built, expectation, set_aside FROM build";
constexpr const char* kReadings =
    "SELECT id, build, quantity, side, value, load_ohm, taken, note, struck, device, device_name, loaded_s "
    "FROM reading";
constexpr int kFirstWithLoads = 5;           // version of the file
constexpr const char* kReadingsBeforeLoads = // files of an earlier version are read as they are
    "SELECT id, build, quantity, side, value, load_ohm, taken, note, struck, NULL, NULL, NULL FROM reading";
const char* readingsOf(SQLite::Database& database) {
    return versionOf(database) < kFirstWithLoads ? kReadingsBeforeLoads : kReadings;
}

constexpr const char* kDocuments = "SELECT id, kind, name, text, set_aside FROM document";

record::Project projectFrom(SQLite::Statement& query) {
    return {query.getColumn(0).getString(), query.getColumn(1).getString(), query.getColumn(2).getInt64()};
}

record::Event eventFrom(SQLite::Statement& query) {
    return {query.getColumn(0).getString(), query.getColumn(1).getString(), query.getColumn(2).getInt64(),
            query.getColumn(3).getString(), query.getColumn(4).getInt() != 0};
}

record::RunHeader runFrom(SQLite::Statement& query) {
    return {query.getColumn(0).getString(),  query.getColumn(1).getString(), query.getColumn(2).getString(),
            query.getColumn(3).getInt64(),   query.getColumn(4).getInt64(),  query.getColumn(5).getDouble(),
            query.getColumn(6).getInt() != 0};
}

record::Revision revisionFrom(SQLite::Statement& query) {
    record::Revision row;
    row.id = query.getColumn(0).getString();
    row.project = query.getColumn(1).getString();
    row.parent = query.getColumn(2).getString();
    row.name = query.getColumn(3).getString();
    row.design = designFrom(query.getColumn(4).getString(), row.id);
    row.created = query.getColumn(5).getInt64();
    row.setAside = query.getColumn(6).getInt() != 0;
    return row;
}

record::Build buildFrom(SQLite::Statement& query) {
    record::Build row;
    row.id = query.getColumn(0).getString();
    row.revision = query.getColumn(1).getString();
    row.name = query.getColumn(2).getString();
    row.built = query.getColumn(3).getInt64();
    row.asBuilt = designFrom(query.getColumn(4).getString(), row.id);
    const auto expectation = formats::readExpectation(query.getColumn(5).getString());
    if (!expectation) {
        throw RowFault{
            base::Said("notebook.row-does-not-read", {{"row", row.id + ": " + expectation.error().field},
                                                      {"found", base::plain(expectation.error().found)}})};
    }
    row.expectation = *expectation;
    row.setAside = query.getColumn(6).getInt() != 0;
    return row;
}

record::Reading readingFrom(SQLite::Statement& query) {
    using record::ReadingQuantity;
    using record::ReadingSide;
    record::Reading row;
    row.id = query.getColumn(0).getString();
    row.build = query.getColumn(1).getString();
    row.quantity =
        enumOf(query.getColumn(2), ReadingQuantity::OpenCircuitVoltage, ReadingQuantity::Level, row.id);
    row.side = enumOf(query.getColumn(3), ReadingSide::Whole, ReadingSide::Positive, row.id);
    row.value = numberOf(query.getColumn(4), row.id);
    if (!query.getColumn(5).isNull()) {
        row.loadOhm = numberOf(query.getColumn(5), row.id);
    }
    row.when = query.getColumn(6).getInt64();
    row.note = query.getColumn(7).getString();
    row.struckOut = query.getColumn(8).getInt() != 0;
    if (!query.getColumn(9).isNull()) {
        row.device = record::OnDevice{query.getColumn(9).getString(), query.getColumn(10).getString()};
    }
    if (!query.getColumn(11).isNull()) {
        row.loadedSeconds = numberOf(query.getColumn(11), row.id);
    }
    return row;
}

record::Document documentFrom(SQLite::Statement& query) {
    using record::DocumentKind;
    const Id id = query.getColumn(0).getString();
    return {id, enumOf(query.getColumn(1), DocumentKind::Shelf, DocumentKind::OwnEntry, id),
            query.getColumn(2).getString(), query.getColumn(3).getString(), query.getColumn(4).getInt() != 0};
}

template <typename From> auto allOf(SQLite::Statement& query, const From& from) {
    std::vector<std::invoke_result_t<From, SQLite::Statement&>> rows;
    while (query.executeStep()) {
        rows.push_back(from(query));
    }
    return rows;
}

} // namespace

void putRow(SQLite::Database& database, const record::Project& project) {
    SQLite::Statement put(database,
                          "INSERT INTO project (id, name, created) VALUES (?, ?, ?) "
                          "ON CONFLICT(id) DO UPDATE SET name = excluded.name, created = excluded.created");
    SQLite::bind(put, project.id, project.name, project.created);
    put.exec();
}

void putRow(SQLite::Database& database, const record::Revision& revision) {
    SQLite::Statement put(database,
                          "INSERT INTO revision (id, project, parent, name, design, created, set_aside) "
                          "VALUES (?, ?, ?, ?, ?, ?, ?) "
                          "ON CONFLICT(id) DO UPDATE SET name = excluded.name, design = excluded.design, "
                          "parent = excluded.parent, set_aside = excluded.set_aside");
    SQLite::bind(put, revision.id, revision.project, revision.parent, revision.name,
                 formats::writeCellFile(revision.design), revision.created, revision.setAside ? 1 : 0);
    put.exec();
}

void putRow(SQLite::Database& database, const record::Build& build) {
    SQLite::Statement put(
        database,
        "INSERT INTO build (id, revision, name, built, as_built, expectation, set_aside) VALUES (?, ?, ?, ?, "
        "?, ?, ?) "
        "ON CONFLICT(id) DO UPDATE SET name = excluded.name, built = excluded.built, "
        "as_built = excluded.as_built, expectation = excluded.expectation, set_aside = excluded.set_aside");
    SQLite::bind(put, build.id, build.revision, build.name, build.built,
                 formats::writeCellFile(build.asBuilt), formats::writeExpectation(build.expectation),
                 build.setAside ? 1 : 0);
    put.exec();
}

void putRow(SQLite::Database& database, const record::Reading& reading) {
    SQLite::Statement put(
        database,
        "INSERT INTO reading (id, build, quantity, side, value, load_ohm, taken, note, struck, device, "
        "device_name, loaded_s) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?) "
        "ON CONFLICT(id) DO UPDATE SET quantity = excluded.quantity, side = excluded.side, "
        "value = excluded.value, load_ohm = excluded.load_ohm, taken = excluded.taken, note = excluded.note, "
        "struck = excluded.struck, device = excluded.device, device_name = excluded.device_name, "
        "loaded_s = excluded.loaded_s");
    put.bind(1, reading.id);
    put.bind(2, reading.build);
    put.bind(3, static_cast<int>(reading.quantity));
    put.bind(4, static_cast<int>(reading.side));
    put.bind(5, reading.value);
    bindOptional(put, 6, reading.loadOhm);
    put.bind(7, reading.when);
    put.bind(8, reading.note);
    put.bind(9, reading.struckOut ? 1 : 0);
    if (reading.device) {
        put.bind(10, reading.device->id);
        put.bind(11, reading.device->name);
    }
    bindOptional(put, 12, reading.loadedSeconds);
    put.exec();
}

void putRow(SQLite::Database& database, const record::Event& event) {
    SQLite::Statement put(
        database, "INSERT INTO event (id, build, happened, text, changes_cell) VALUES (?, ?, ?, ?, ?) "
                  "ON CONFLICT(id) DO UPDATE SET happened = excluded.happened, text = excluded.text, "
                  "changes_cell = excluded.changes_cell");
    SQLite::bind(put, event.id, event.build, event.when, event.text, event.changesCell ? 1 : 0);
    put.exec();
}

void putRow(SQLite::Database& database, const record::RunHeader& run) {
    // Its length is not the caller's to change: it may be growing while its name is edited.
    SQLite::Statement put(
        database, "INSERT INTO run (id, build, name, started, samples, duration, set_aside) VALUES (?, ?, ?, "
                  "?, ?, ?, ?) "
                  "ON CONFLICT(id) DO UPDATE SET name = excluded.name, started = excluded.started, "
                  "set_aside = excluded.set_aside");
    SQLite::bind(put, run.id, run.build, run.name, run.started, run.samples, run.durationSeconds,
                 run.setAside ? 1 : 0);
    put.exec();
}

std::vector<record::Project> projectRows(SQLite::Database& database) {
    SQLite::Statement query(database, std::string(kProjects) + " ORDER BY created, rowid");
    return allOf(query, projectFrom);
}

std::vector<record::Revision> revisionRows(SQLite::Database& database) {
    SQLite::Statement query(database, std::string(kRevisions) + " ORDER BY created, rowid");
    return allOf(query, revisionFrom);
}

std::vector<record::Build> buildRows(SQLite::Database& database) {
    SQLite::Statement query(database, std::string(kBuilds) + " ORDER BY built, rowid");
    return allOf(query, buildFrom);
}

std::vector<record::Reading> readingRows(SQLite::Database& database, const Id& build) {
    SQLite::Statement query(database,
                            std::string(readingsOf(database)) + " WHERE build = ? ORDER BY taken, rowid");
    query.bind(1, build);
    return allOf(query, readingFrom);
}

std::vector<record::Event> eventRows(SQLite::Database& database, const Id& build) {
    SQLite::Statement query(database, std::string(kEvents) + " WHERE build = ? ORDER BY happened, rowid");
    query.bind(1, build);
    return allOf(query, eventFrom);
}

std::vector<record::RunHeader> runRows(SQLite::Database& database, const Id& build) {
    SQLite::Statement query(database, std::string(kRuns) + " WHERE build = ? ORDER BY started, rowid");
    query.bind(1, build);
    return allOf(query, runFrom);
}

void putRow(SQLite::Database& database, const record::Document& document) {
    SQLite::Statement put(database,
                          "INSERT INTO document (id, kind, name, text, set_aside) VALUES (?, ?, ?, ?, ?) "
                          "ON CONFLICT(id) DO UPDATE SET kind = excluded.kind, name = excluded.name, "
                          "text = excluded.text, set_aside = excluded.set_aside");
    SQLite::bind(put, document.id, static_cast<int>(document.kind), document.name, document.text,
                 document.setAside ? 1 : 0);
    put.exec();
}

std::vector<record::Document> documentRows(SQLite::Database& database) {
    if (!database.tableExists("document")) {
        return {};
    }
    SQLite::Statement query(database, std::string(kDocuments) + " ORDER BY rowid");
    return allOf(query, documentFrom);
}

std::optional<Change> rowOf(SQLite::Database& database, const std::string& table, const Id& id) {
    const auto one = [&](const char* select, const auto& from) -> std::optional<Change> {
        SQLite::Statement query(database, std::string(select) + " WHERE id = ?");
        query.bind(1, id);
        return query.executeStep() ? std::optional<Change>(from(query)) : std::nullopt;
    };
    if (table == "project") {
        return one(kProjects, projectFrom);
    }
    if (table == "revision") {
        return one(kRevisions, revisionFrom);
    }
    if (table == "build") {
        return one(kBuilds, buildFrom);
    }
    if (table == "reading") {
        return one(readingsOf(database), readingFrom);
    }
    if (table == "event") {
        return one(kEvents, eventFrom);
    }
    return table == "run" ? one(kRuns, runFrom) : one(kDocuments, documentFrom);
}

std::vector<std::string> unreadableRows(SQLite::Database& database, const std::string& table) {
    const auto unreadable = [&](const char* sql, const auto& from) {
        std::vector<std::string> ids;
        SQLite::Statement query(database, sql);
        while (query.executeStep()) {
            try {
                (void)from(query);
            } catch (const RowFault&) {
                ids.push_back(query.getColumn(0).getString());
            }
        }
        return ids;
    };
    if (table == "revision") {
        return unreadable(kRevisions, revisionFrom);
    }
    if (table == "build") {
        return unreadable(kBuilds, buildFrom);
    }
    return table == "reading" ? unreadable(readingsOf(database), readingFrom)
                              : unreadable(kDocuments, documentFrom);
}

} // namespace anodex::notebook
