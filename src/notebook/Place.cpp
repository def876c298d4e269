#include "notebook/Place.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <fmt/format.h>

namespace anodex::notebook {
namespace {

struct Naming {
    const char* table;
    const char* what; ///< With {} for the names.
    const char* sql;  ///< One text for a row.
};

constexpr const char* kOfBuild =
    "SELECT '\"' || r.name || '\", ' || b.name FROM {} x JOIN build b ON b.id = x.build "
    "JOIN revision r ON r.id = b.revision WHERE x.id = ?";

constexpr Naming kNamings[] = {
    {"project", "the project {}", "SELECT '\"' || name || '\"' FROM project WHERE id = ?"},
    {"revision", "the design {}", "SELECT '\"' || name || '\"' FROM revision WHERE id = ?"},
    {"build", "the build of {}",
     "SELECT '\"' || r.name || '\", ' || b.name FROM build b JOIN revision r ON r.id = b.revision WHERE b.id "
     "= ?"},
    {"reading", "a reading of {}", kOfBuild},
    {"event", "an event of {}", kOfBuild},
    {"run", "the run {}",
     "SELECT '\"' || n.name || '\" of ' || coalesce((SELECT '\"' || r.name || '\", ' || b.name FROM build b "
     "JOIN revision r "
     "ON r.id = b.revision WHERE b.id = n.build), 'no build') FROM run n WHERE n.id = ?"},
    {"document", "the document {}", "SELECT '\"' || name || '\"' FROM document WHERE id = ?"},
    {"history", "step {} of the history", "SELECT ?"},
    {"view_state", "the remembered view {}", "SELECT ?"},
    {"import_mapping", "a remembered column layout", "SELECT ?"}};

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

std::string placeOf(SQLite::Database& database, const std::string& table, const std::string& row) {
    if (table == "run_tail" || table == "channel") {
        const std::size_t at = row.rfind('/');
        return fmt::format("{} of {}", table == "channel" ? "a column" : "the end",
                           placeOf(database, "run", row.substr(0, at)));
    }
    if (table == "run_chunk") {
        const std::size_t column = row.rfind('/');
        const std::size_t chunk =
            column == std::string::npos || column == 0 ? column : row.rfind('/', column - 1);
        if (chunk != std::string::npos) {
            return fmt::format("part {} of {}", row.substr(chunk + 1, column - chunk - 1),
                               placeOf(database, "run", row.substr(0, chunk)));
        }
    }
    for (const Naming& naming : kNamings) {
        if (table == naming.table) {
            return fmt::format(fmt::runtime(naming.what), namesOf(database, naming, row));
        }
    }
    return fmt::format("a row of {}", table);
}

} // namespace anodex::notebook
