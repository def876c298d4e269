// src/notebook/NotebookError.h - why a notebook could not be opened or changed.
#pragma once
#include "core/base/Said.h"

namespace anodex::notebook {

struct NotebookError {
    enum class Code {
        NotANotebook,
        Newer,
        Damaged,
        LockedElsewhere,
        CannotOpen,
        ReadOnly,
        DiskFull,
        Failed,
        NotFound,
        Moved,   ///< The file's name no longer leads to the file that is open.
        Exists,  ///< A copy is never written over another file.
        NoRoom,  ///< Known beforehand: a migration or copy needs more room than the disk has.
        Stopped, ///< As asked for.
    };
    Code code = Code::Failed;
    base::Said detail; ///< A path or a name as it is, or what is wrong in particular.
    int sqlite = 0;    ///< The storage library's extended code; 0 when it had no part in it.
};

/// A word for the log: "damaged", "disk-full".
[[nodiscard]] const char* codeName(NotebookError::Code code);

} // namespace anodex::notebook
