#include "notebook/ColumnCopy.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <fmt/format.h>

namespace anodex::notebook {
namespace {

void bindLike(SQLite::Statement& write, int index, const SQLite::Column& value) {
    if (value.isInteger()) {
        write.bind(index, value.getInt64());
    } else if (value.isFloat()) {
        write.bind(index, value.getDouble());
    } else if (value.isText()) {
        write.bind(index, value.getString());
    } else if (value.isBlob()) {
        write.bind(index, value.getBlob(), value.getBytes());
    } else {
        write.bind(index);
    }
}

} // namespace

std::string insertionOf(const char* table, const SQLite::Statement& row, int first) {
    std::string names;
    std::string marks;
    for (int i = first; i < row.getColumnCount(); ++i) {
        const char* between = i == first ? "" : ", ";
        names += between + std::string(row.getColumnName(i));
        marks += between + std::string("?");
    }
    return fmt::format("INSERT INTO {} ({}) VALUES ({})", table, names, marks);
}

void insertLike(SQLite::Statement& write, SQLite::Statement& row, int first) {
    for (int i = first; i < row.getColumnCount(); ++i) {
        bindLike(write, i - first + 1, row.getColumn(i));
    }
    write.exec();
    write.reset();
}

} // namespace anodex::notebook
