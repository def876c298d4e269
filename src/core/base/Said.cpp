#include "core/base/Said.h"

namespace anodex::base {

std::string plain(const Said& said) {
    std::string text = said.id;
    for (const auto& [name, value] : said.values) {
        const std::string place = "{" + name + "}";
        const std::size_t at = text.find(place);
        if (const auto* typed = std::get_if<std::string>(&value);
            typed != nullptr && at != std::string::npos) {
            text.replace(at, place.size(), *typed);
        }
    }
    return text;
}

} // namespace anodex::base
