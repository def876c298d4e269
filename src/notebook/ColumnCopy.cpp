#include "notebook/ColumnCopy.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <cstddef>

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

void insertLike(SQLite::Statement& write, SQLite::Statement& row, int first) {
    for (int i = first; i < row.getColumnCount(); ++i) {
        bindLike(write, i - first + 1, row.getColumn(i));
    }
    write.exec();
    write.reset();
}

const char* marksFor(int columns) {
    // Enough for the widest table there is.
    constexpr const char* kMarks = "?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?";
    constexpr int kMost = 12;
    return kMarks + std::ptrdiff_t{3} * (kMost - columns);
}

} // namespace anodex::notebook
