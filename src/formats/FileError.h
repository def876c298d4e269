// src/formats/FileError.h - what is wrong with a file: where, what stands there, what would be right.
#pragma once
#include "core/base/Said.h"
#include <cstdint>
#include <string>

namespace anodex::formats {

struct FileError {
    enum class Code {
        NotJson,
        MissingKey,
        UnknownKey,
        WrongType,
        NotFinite,
        OutOfRange,
        UnknownName,
        NotBalanced,
        WrongFormat,
        Conflict,
        Refused, ///< `expected` says why, and what to use.
        Unreadable
    };
    Code code = Code::NotJson;
    std::string field;     ///< Dotted path; empty for text that is no JSON.
    base::Said found;      ///< What stands there: what was written, or its English as an id after "file.".
    base::Said expected;   ///< What would be right, the same way: a key, a type, a range, a nearest name.
    std::int64_t line = 0; ///< Of text that is no JSON, from 1.
};

} // namespace anodex::formats
