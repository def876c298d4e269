// src/notebook/NotebookError.h - why a notebook could not be opened or changed.
#pragma once
#include <string>

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
        NotFound
    };
    Code code = Code::Failed;
    std::string detail;
};

} // namespace anodex::notebook
