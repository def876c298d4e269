// src/notebook/Guard.h - runs a piece of storage work and turns library exceptions into NotebookError.
#pragma once
#include "notebook/NotebookError.h"
#include "notebook/Rows.h"
#include <SQLiteCpp/SQLiteCpp.h>
#include <sqlite3.h>
#include <tl/expected.hpp>
#include <type_traits>

namespace anodex::notebook {

[[nodiscard]] inline NotebookError errorFrom(const SQLite::Exception& exception) {
    using Code = NotebookError::Code;
    switch (exception.getErrorCode()) {
    case SQLITE_FULL:
        return {Code::DiskFull, exception.what()};
    case SQLITE_READONLY:
        return {Code::ReadOnly, exception.what()};
    case SQLITE_NOTADB:
        return {Code::NotANotebook, exception.what()};
    case SQLITE_CORRUPT:
        return {Code::Damaged, exception.what()};
    case SQLITE_CANTOPEN:
    case SQLITE_PERM:
        return {Code::CannotOpen, exception.what()};
    case SQLITE_BUSY:
    case SQLITE_LOCKED:
        return {Code::LockedElsewhere, exception.what()};
    default:
        return {Code::Failed, exception.what()};
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
        return tl::unexpected(NotebookError{NotebookError::Code::Damaged, fault.text});
    } catch (const NotebookError& error) {
        return tl::unexpected(error);
    }
}

} // namespace anodex::notebook
