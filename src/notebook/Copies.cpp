#include "notebook/Copies.h"

#include "notebook/Connection.h"
#include "notebook/CopyInto.h"
#include "notebook/FreshName.h"
#include "notebook/Guard.h"

#include <filesystem>
#include <fmt/format.h>

namespace anodex::notebook {
namespace {

using Code = NotebookError::Code;

/// Only a file without faults takes another's place.
void requireSound(const std::string& path) {
    auto book = Notebook::open(path, OpenMode::Read);
    if (!book) {
        throw book.error();
    }
    const auto faults = book->check();
    if (!faults) {
        throw faults.error();
    }
    if (!faults->empty()) {
        throw NotebookError{Code::Damaged, faults->front()};
    }
}

} // namespace

Answer<void> copyNotebook(const std::string& from, const std::string& to) {
    return guarded([&] { copyInto(*openForReading(from), to); });
}

Answer<std::string> restoreNotebook(const std::string& path, const std::string& backup) {
    return guarded([&] {
        requireSound(backup);
        auto lock = RoleLock::take(path, Role::Editor, "a restoring");
        if (!lock) {
            throw lock.error();
        }
        if (auto alone = lock->holdAlone(); !alone) {
            throw alone.error();
        }
        const std::string fresh = freshNameBeside(path, "restored");
        copyInto(*openForReading(backup), fresh);
        std::string aside = freshNameBeside(path, "before restoring");
        if (std::filesystem::exists(path)) {
            std::filesystem::rename(path, aside);
            for (const char* ending : {"-wal", "-shm", "-journal"}) {
                if (std::filesystem::exists(path + ending)) {
                    std::filesystem::rename(path + ending, aside + ending);
                }
            }
        }
        std::filesystem::rename(fresh, path);
        return aside;
    });
}

} // namespace anodex::notebook
