// tests/support/InUse.h - the lines of a notebook's dump that are not runs set aside.
//
// A run that was being imported when the process died, or whose import was undone, stays in the file, set
// aside.
#pragma once
#include <string>

namespace anodex::test {

inline std::string inUse(const std::string& dump) {
    std::string kept;
    for (std::size_t at = 0; at < dump.size();) {
        const std::size_t end = dump.find('\n', at) + 1;
        const std::string line = dump.substr(at, end - at);
        if (!(line.starts_with("run|") && line.ends_with("|1\n"))) {
            kept += line;
        }
        at = end;
    }
    return kept;
}

} // namespace anodex::test
