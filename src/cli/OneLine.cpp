#include "cli/OneLine.h"

#include <fmt/format.h>

namespace anodex::cli {
namespace {

constexpr std::size_t kLongest = 1000;

/// Bytes of the whole character at `at`; 0 where none begins.
std::size_t characterAt(std::string_view text, std::size_t at) {
    const auto first = static_cast<unsigned char>(text[at]);
    const std::size_t size = first < 0x80                    ? 1
                             : first >= 0xC2 && first < 0xE0 ? 2
                             : first >= 0xE0 && first < 0xF0 ? 3
                             : first >= 0xF0 && first < 0xF5 ? 4
                                                             : 0;
    if (size == 0 || at + size > text.size()) {
        return 0;
    }
    for (std::size_t i = 1; i < size; ++i) {
        if ((static_cast<unsigned char>(text[at + i]) & 0xC0U) != 0x80U) {
            return 0;
        }
    }
    // C1 controls and the line separators end a line too.
    const std::string_view character = text.substr(at, size);
    const bool endsLine = (first == 0xC2 && static_cast<unsigned char>(text[at + 1]) < 0xA0) ||
                          character == "\u2028" || character == "\u2029";
    return endsLine ? 0 : size;
}

} // namespace

std::string oneLine(std::string_view text) {
    std::string line;
    for (std::size_t i = 0; i < text.size();) {
        if (line.size() > kLongest) {
            return line + "…";
        }
        const std::size_t size = characterAt(text, i);
        const auto byte = static_cast<unsigned char>(text[i]);
        if (size == 0 || byte < 0x20 || byte == 0x7F) {
            line += byte == '\n'   ? std::string("\\n")
                    : byte == '\t' ? std::string("\\t")
                                   : fmt::format("\\x{:02x}", byte);
            ++i;
        } else {
            line.append(text.substr(i, size));
            i += size;
        }
    }
    return line;
}

} // namespace anodex::cli
