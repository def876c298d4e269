#include "notebook/Place.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <fmt/format.h>

namespace anodex::notebook {
namespace {

struct Naming {
    const char* table;
    const char* id;  ///< Of its words, with {names}.
    const char* sql; ///< One text for a row.
};

constexpr const char* kOfBuild =
    "SELECT '\"' || r.name || '\", ' || b.name FROM {} x JOIN build b ON b.id = x.build "
    "JOIN revision r ON r.id = b.revision WHERE x.id = ?";

constexpr Naming kNamings[] = {
    {"project", "notebook.place-project", "SELECT '\"' || name || '\"' FROM project WHERE id = ?"},
    {"revision", "notebook.place-design", "SELECT '\"' || name || '\"' FROM revision WHERE id = ?"},
    {"build", "notebook.place-build",
     "SELECT '\"' || r.name || '\", ' || b.name FROM build b JOIN revision r ON r.id = b.revision WHERE b.id "
     "= ?"},
    {"reading", "notebook.place-reading", kOfBuild},
    {"event", "notebook.place-event", kOfBuild},
    {"run", "notebook.place-run",
     "SELECT '\"' || n.name || '\" of ' || coalesce((SELECT '\"' || r.name || '\", ' || b.name FROM build b "
     "JOIN revision r "
     "ON r.id = b.revision WHERE b.id = n.build), 'no build') FROM run n WHERE n.id = ?"},
    {"document", "notebook.place-document", "SELECT '\"' || name || '\"' FROM document WHERE id = ?"},
    {"history", "notebook.place-step", "SELECT ?"},
    {"view_state", "notebook.place-view", "SELECT ?"},
    {"import_mapping", "notebook.place-layout", "SELECT ?"}};

std::string namesOf(SQLite::Database& database, const Naming& naming, const std::string& row) {
    try {
        SQLite::Statement query(database, fmt::format(fmt::runtime(naming.sql), naming.table));
        query.bind(1, row);
        return query.executeStep() ? query.getColumn(0).getString() : row;
    } catch (const SQLite::Exception&) {
        return row; // what would name it is damaged too
    }
}

} // namespace

base::Said placeOf(SQLite::Database& database, const std::string& table, const std::string& row) {
    if (table == "run_tail" || table == "channel") {
        const std::size_t at = row.rfind('/');
        return {table == "channel" ? "notebook.place-column" : "notebook.place-end",
                {{"run", std::vector{placeOf(database, "run", row.substr(0, at))}}}};
    }
    if (table == "run_chunk") {
        const std::size_t column = row.rfind('/');
        const std::size_t chunk =
            column == std::string::npos || column == 0 ? column : row.rfind('/', column - 1);
        if (chunk != std::string::npos) {
            return {"notebook.place-part",
                    {{"part", row.substr(chunk + 1, column - chunk - 1)},
                     {"run", std::vector{placeOf(database, "run", row.substr(0, chunk))}}}};
        }
    }
    for (const Naming& naming : kNamings) {
        if (table == naming.table) {
            return {naming.id, {{"names", namesOf(database, naming, row)}}};
        }
    }
    return {"notebook.place-row", {{"table", table}}};
}

} // namespace anodex::notebook
