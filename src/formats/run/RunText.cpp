#include "formats/run/RunText.h"

#include "quantity/Letters.h"
#include "quantity/Units.h"

#include <algorithm>
#include <zlib.h>

namespace anodex::formats {
namespace {

using Code = CsvError::Code;
using quantity::trimmed;

constexpr std::size_t kLargest = std::size_t{2} << 30U; // of what a packed file may become

std::optional<std::string> unpacked(std::string_view bytes) {
    z_stream stream{};
    constexpr int kGzipOnly = 16 + MAX_WBITS;
    if (inflateInit2(&stream, kGzipOnly) != Z_OK) {
        return std::nullopt;
    }
    std::string text;
    std::string piece(1U << 18U, '\0');
    // The library takes the input as changeable and does not change it.
    stream.next_in = reinterpret_cast<Bytef*>(const_cast<char*>(bytes.data()));
    stream.avail_in = static_cast<uInt>(bytes.size());
    int code = Z_OK;
    while (code == Z_OK && text.size() < kLargest) {
        stream.next_out = reinterpret_cast<Bytef*>(piece.data());
        stream.avail_out = static_cast<uInt>(piece.size());
        code = inflate(&stream, Z_NO_FLUSH);
        text.append(piece.data(), piece.size() - stream.avail_out);
    }
    inflateEnd(&stream);
    return code == Z_STREAM_END ? std::optional(std::move(text)) : std::nullopt;
}

void appendUtf8(std::string& text, std::uint32_t code) {
    if (code < 0x80) {
        text += static_cast<char>(code);
    } else if (code < 0x800) {
        text += static_cast<char>(0xC0U | (code >> 6U));
        text += static_cast<char>(0x80U | (code & 0x3FU));
    } else {
        text += static_cast<char>(0xE0U | (code >> 12U));
        text += static_cast<char>(0x80U | ((code >> 6U) & 0x3FU));
        text += static_cast<char>(0x80U | (code & 0x3FU));
    }
}

std::string fromUtf16(std::string_view bytes, bool littleEndian) {
    std::string text;
    for (std::size_t i = 0; i + 1 < bytes.size(); i += 2) {
        const auto first = static_cast<unsigned char>(bytes[i]);
        const auto second = static_cast<unsigned char>(bytes[i + 1]);
        appendUtf8(text, littleEndian ? first | second << 8U : first << 8U | second);
    }
    return text;
}

std::string fromLatin1(std::string_view bytes) {
    std::string text;
    for (const char c : bytes) {
        appendUtf8(text, static_cast<unsigned char>(c));
    }
    return text;
}

bool isUtf8(std::string_view text) {
    for (std::size_t i = 0; i < text.size(); ++i) {
        const auto c = static_cast<unsigned char>(text[i]);
        const std::size_t more = c < 0x80                ? 0
                                 : c >= 0xC2 && c < 0xE0 ? 1
                                 : c >= 0xE0 && c < 0xF0 ? 2
                                 : c >= 0xF0 && c < 0xF5 ? 3
                                                         : 9;
        if (more == 9 || i + more >= text.size() + (more == 0 ? 1 : 0)) {
            return false;
        }
        for (std::size_t k = 1; k <= more; ++k) {
            if ((static_cast<unsigned char>(text[i + k]) & 0xC0U) != 0x80U) {
                return false;
            }
        }
        i += more;
    }
    return true;
}

/// Every second byte nothing: UTF-16 without its mark.
int utf16Order(std::string_view bytes) {
    const std::size_t looked = std::min<std::size_t>(bytes.size() & ~std::size_t{1}, 400);
    std::size_t zeros[2] = {0, 0};
    for (std::size_t i = 0; i < looked; ++i) {
        zeros[i % 2] += bytes[i] == '\0' ? 1 : 0;
    }
    if (looked >= 8 && zeros[1] * 5 > looked * 2 && zeros[0] == 0) {
        return 1;
    }
    return looked >= 8 && zeros[0] * 5 > looked * 2 && zeros[1] == 0 ? 2 : 0;
}

void useOneLineEnd(std::string& text) {
    std::string result;
    result.reserve(text.size());
    for (std::size_t i = 0; i < text.size(); ++i) {
        if (text[i] == '\r') {
            result += '\n';
            i += i + 1 < text.size() && text[i + 1] == '\n' ? 1 : 0;
        } else {
            result += text[i];
        }
    }
    text = std::move(result);
}

/// "12:00:01.250 -> 1.02;0.5" is "12:00:01.250;1.02;0.5", and "12:00:01.250 -> U=1.02" is
/// "time=12:00:01.250 U=1.02".
void openMonitorLines(std::string& text) {
    constexpr std::string_view kArrow = " -> ";
    if (text.substr(0, 400).find(kArrow) == std::string::npos) {
        return;
    }
    std::string result;
    for (std::string_view rest = text; !rest.empty();) {
        const std::string_view line = takeLine(rest);
        const std::size_t at = line.find(kArrow);
        if (at != std::string_view::npos && line.find('=', at) != std::string_view::npos) {
            result.append("time=").append(line.substr(0, at)).append(line.substr(at + kArrow.size() - 1));
        } else if (at != std::string_view::npos) {
            const std::string_view came = line.substr(at + kArrow.size());
            char delimiter = ',';
            for (const char candidate : {';', '\t', ','}) {
                if (came.find(candidate) != std::string_view::npos) {
                    delimiter = candidate;
                    break;
                }
            }
            result.append(line.substr(0, at)).append(1, delimiter).append(came);
        } else {
            result.append(line);
        }
        result += '\n';
    }
    text = std::move(result);
}

bool isNameChar(char c) {
    return quantity::isLetter(c) || quantity::isDigit(c) || c == '_' || static_cast<unsigned char>(c) >= 0x80;
}

/// Bytes of the unit in " mA, U: 1.02 V"; 0 where the next word is a name with its own value.
std::size_t unitBehind(std::string_view text) {
    if (text.empty() || text.front() != ' ') {
        return 0;
    }
    const std::size_t end = std::min(text.find_first_of(" ,;\t}=:", 1), text.size());
    const std::size_t next = std::min(text.find_first_not_of(' ', end), text.size());
    const bool isName = next < text.size() && (text[next] == '=' || text[next] == ':');
    return isName || quantity::readingsOf(text.substr(1, end - 1)).empty() ? 0 : end;
}

/// The next "name=value", "name: value" or its like in quotes; empty name when none is left.
std::pair<std::string_view, std::string_view> takePair(std::string_view& line) {
    while (!line.empty()) {
        const std::size_t from =
            static_cast<std::size_t>(std::find_if(line.begin(), line.end(), isNameChar) - line.begin());
        std::size_t to = from;
        while (to < line.size() && isNameChar(line[to])) {
            ++to;
        }
        std::size_t mark = to;
        while (mark < line.size() && (line[mark] == ' ' || line[mark] == '"')) {
            ++mark;
        }
        if (mark < line.size() && (line[mark] == '=' || line[mark] == ':') && to > from &&
            !quantity::isDigit(line[from])) {
            const std::string_view name = line.substr(from, to - from);
            std::string_view value = line.substr(mark + 1);
            while (!value.empty() && value.front() == ' ') {
                value.remove_prefix(1);
            }
            const std::size_t end = std::min(value.find_first_of(" ,;\t}"), value.size());
            const std::size_t unit = unitBehind(value.substr(end));
            line = value.substr(end + unit);
            return {name, value.substr(0, end + unit)};
        }
        line.remove_prefix(std::max<std::size_t>(to, from + 1) > line.size() ? line.size()
                                                                             : std::max<std::size_t>(to, 1));
    }
    return {};
}

} // namespace

tl::expected<RunText, CsvError> decodeRun(std::string_view bytes) {
    RunText run;
    std::string plain;
    if (bytes.starts_with("\x1F\x8B")) {
        auto text = unpacked(bytes);
        if (!text) {
            return tl::unexpected(CsvError{Code::Binary, 0, {}});
        }
        plain = std::move(*text);
        bytes = plain;
        run.encoding = "gzip, ";
    }
    if (bytes.starts_with("\xFF\xFE") || bytes.starts_with("\xFE\xFF")) {
        run.text = fromUtf16(bytes.substr(2), bytes[0] == '\xFF');
        run.encoding += "UTF-16";
    } else if (const int order = utf16Order(bytes); order > 0) {
        run.text = fromUtf16(bytes, order == 1);
        run.encoding += "UTF-16";
    } else if (bytes.substr(0, 4096).find('\0') != std::string_view::npos) {
        return tl::unexpected(CsvError{Code::Binary, 0, {}});
    } else {
        bytes.remove_prefix(bytes.starts_with("\xEF\xBB\xBF") ? 3 : 0);
        const bool utf8 = isUtf8(bytes);
        run.text = utf8 ? std::string(bytes) : fromLatin1(bytes);
        run.encoding += utf8 ? "UTF-8" : "Latin-1";
    }
    if (trimmed(run.text).empty()) {
        return tl::unexpected(CsvError{Code::Empty, 0, {}});
    }
    useOneLineEnd(run.text);
    openMonitorLines(run.text);
    return run;
}

std::string_view takeLine(std::string_view& text) {
    const std::size_t end = text.find('\n');
    const std::string_view line = text.substr(0, end);
    text.remove_prefix(end == std::string_view::npos ? text.size() : end + 1);
    return line;
}

void cellsOf(std::string_view line, char delimiter, std::vector<std::string_view>& cells,
             std::size_t columns) {
    cells.clear();
    if (delimiter == '=') {
        for (auto pair = takePair(line); !pair.first.empty(); pair = takePair(line)) {
            cells.push_back(trimmed(pair.second));
        }
        return;
    }
    const auto isDelimiter = [&](char c) { return c == delimiter || (delimiter == ' ' && c == '\t'); };
    bool quoted = false;
    std::size_t start = 0;
    for (std::size_t i = 0; i <= line.size(); ++i) {
        if (i < line.size() && line[i] == '"') {
            quoted = !quoted;
        } else if (i == line.size() || (isDelimiter(line[i]) && !quoted)) {
            const std::string_view cell = trimmed(line.substr(start, i - start));
            if (delimiter != ' ' || !cell.empty()) {
                cells.push_back(cell);
            }
            start = i + 1;
        }
    }
    // A delimiter after the last cell makes no column, but where one is left empty.
    if (delimiter != ' ' && cells.size() > 1 && cells.size() != columns && cells.back().empty() &&
        !line.empty() && line.back() == delimiter) {
        cells.pop_back();
    }
}

std::vector<std::string> namesIn(std::string_view line) {
    std::vector<std::string> names;
    for (auto pair = takePair(line); !pair.first.empty(); pair = takePair(line)) {
        names.emplace_back(pair.first);
    }
    return names;
}

} // namespace anodex::formats
