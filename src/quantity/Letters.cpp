#include "quantity/Letters.h"

#include <algorithm>

namespace anodex::quantity {
namespace {

// Unbreakable, figure, thin, narrow unbreakable.
constexpr std::string_view kBlanks[] = {" ", "\t", "\u00A0", "\u2007", "\u2009", "\u202F"};
// Hyphen-minus, minus, hyphen, en dash, small and full-width hyphen-minus.
constexpr std::string_view kMinuses[] = {"-", "\u2212", "\u2010", "\u2013", "\uFE63", "\uFF0D"};

template <std::size_t N>
std::size_t oneOfAt(const std::string_view (&list)[N], std::string_view text, std::size_t at) {
    if (at >= text.size()) {
        return 0;
    }
    const std::string_view rest = text.substr(at);
    for (const std::string_view entry : list) {
        // A million numbers are read so; hardly any begins like one of these.
        if (rest.front() == entry.front() && rest.starts_with(entry)) {
            return entry.size();
        }
    }
    return 0;
}

} // namespace

std::string lowered(std::string_view text) {
    std::string result(text);
    std::transform(result.begin(), result.end(), result.begin(),
                   [](char c) { return c >= 'A' && c <= 'Z' ? static_cast<char>(c - 'A' + 'a') : c; });
    return result;
}

std::size_t blankAt(std::string_view text, std::size_t at) {
    return oneOfAt(kBlanks, text, at);
}

std::size_t minusAt(std::string_view text, std::size_t at) {
    return oneOfAt(kMinuses, text, at);
}

std::string_view trimmed(std::string_view text) {
    const auto isEdge = [](char c) { return c == ' ' || c == '\t' || c == '\r' || c == '\n' || c == '"'; };
    while (!text.empty()) {
        const std::size_t wide = blankAt(text, 0);
        if (wide == 0 && !isEdge(text.front())) {
            break;
        }
        text.remove_prefix(std::max<std::size_t>(wide, 1));
    }
    while (!text.empty() && isEdge(text.back())) {
        text.remove_suffix(1);
    }
    return text;
}

} // namespace anodex::quantity
