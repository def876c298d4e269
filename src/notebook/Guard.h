// src/notebook/Guard.h - runs a piece of storage work and turns library exceptions into NotebookError.
#pragma once
#include "notebook/NotebookError.h"
#include "notebook/Rows.h"
#include <SQLiteCpp/SQLiteCpp.h>
#include <filesystem>
#include <sqlite3.h>
#include <tl/expected.hpp>
#include <type_traits>

namespace anodex::notebook {

[[nodiscard]] inline NotebookError errorFrom(const SQLite::Exception& exception) {
    using Code = NotebookError::Code;
    const int extended = exception.getExtendedErrorCode();
    const auto as = [&](Code code) { return NotebookError{code, exception.what(), extended}; };
    switch (exception.getErrorCode()) {
    case SQLITE_FULL:
        return as(Code::DiskFull);
    case SQLITE_READONLY:
        return as(extended == SQLITE_READONLY_DBMOVED ? Code::Moved : Code::ReadOnly);
    case SQLITE_NOTADB:
        return as(Code::NotANotebook);
    case SQLITE_CORRUPT:
        return as(Code::Damaged);
    case SQLITE_CANTOPEN:
    case SQLITE_PERM:
        return as(Code::CannotOpen);
    case SQLITE_BUSY:
    case SQLITE_LOCKED:
        return as(Code::LockedElsewhere);
    default:
        return as(Code::Failed);
    }
}

template <typename Work>
auto guarded(const Work& work) -> tl::expected<std::invoke_result_t<Work>, NotebookError> {
    try {
        if constexpr (std::is_void_v<std::invoke_result_t<Work>>) {
            work();
            return {};
        } else {
            return work();
        }
    } catch (const SQLite::Exception& exception) {
        return tl::unexpected(errorFrom(exception));
    } catch (const RowFault& fault) {
        return tl::unexpected(NotebookError{NotebookError::Code::Damaged, fault.said});
    } catch (const std::filesystem::filesystem_error& error) {
        return tl::unexpected(NotebookError{NotebookError::Code::CannotOpen, error.code().message()});
    } catch (const NotebookError& error) {
        return tl::unexpected(error);
    }
}

} // namespace anodex::notebook
