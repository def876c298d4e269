#include "notebook/NotebookError.h"

namespace anodex::notebook {

const char* codeName(NotebookError::Code code) {
    using Code = NotebookError::Code;
    switch (code) {
    case Code::NotANotebook:
        return "not-a-notebook";
    case Code::Newer:
        return "newer";
    case Code::Damaged:
        return "damaged";
    case Code::LockedElsewhere:
        return "locked-elsewhere";
    case Code::CannotOpen:
        return "cannot-open";
    case Code::ReadOnly:
        return "read-only";
    case Code::DiskFull:
        return "disk-full";
    case Code::Failed:
        return "failed";
    case Code::NotFound:
        return "not-found";
    case Code::Moved:
        return "moved";
    case Code::Exists:
        return "exists";
    case Code::NoRoom:
        return "no-room";
    case Code::Stopped:
        return "stopped";
    }
    return "";
}

} // namespace anodex::notebook
