#include "notebook/CopyInto.h"

#include "notebook/FileIdentity.h"
#include "notebook/NotebookError.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <cerrno>
#include <cstring>
#include <fcntl.h>
#include <filesystem>
#include <stdio.h>
#include <unistd.h>

namespace anodex::notebook {
namespace {

using Code = NotebookError::Code;

void refuseWithoutRoom(SQLite::Database& database, const std::string& to) {
    const auto pages = database.execAndGet("PRAGMA page_count").getInt64();
    const auto size = database.execAndGet("PRAGMA page_size").getInt64();
    if (freeBytes(to) < static_cast<std::uint64_t>(pages * size)) {
        throw NotebookError{Code::NoRoom, to};
    }
}

/// A name on the disk is only there for good when its folder is written out.
void writeOutFolderOf(const std::string& path) {
    const auto folder = std::filesystem::path(path).parent_path();
    const int descriptor = ::open(folder.empty() ? "." : folder.c_str(), O_RDONLY | O_DIRECTORY | O_CLOEXEC);
    if (descriptor >= 0) {
        ::fsync(descriptor);
        ::close(descriptor);
    }
}

} // namespace

void copyInto(SQLite::Database& database, const std::string& to) {
    if (std::filesystem::exists(to)) {
        throw NotebookError{Code::Exists, to};
    }
    refuseWithoutRoom(database, to);
    const std::string part = to + ".part";
    std::error_code ignored;
    std::filesystem::remove(part, ignored);
    try {
        // Counted as writing, though it writes elsewhere.
        const auto before = database.execAndGet("PRAGMA query_only").getInt();
        database.exec("PRAGMA query_only = 0");
        SQLite::Statement copy(database, "VACUUM INTO ?");
        copy.bind(1, part);
        copy.exec();
        database.exec("PRAGMA query_only = " + std::to_string(before));
    } catch (const SQLite::Exception&) {
        std::filesystem::remove(part, ignored);
        throw;
    }
    if (::renameat2(AT_FDCWD, part.c_str(), AT_FDCWD, to.c_str(), RENAME_NOREPLACE) != 0) {
        const NotebookError error{errno == EEXIST ? Code::Exists : Code::CannotOpen, std::strerror(errno)};
        std::filesystem::remove(part, ignored);
        throw error;
    }
    writeOutFolderOf(to);
}

} // namespace anodex::notebook
