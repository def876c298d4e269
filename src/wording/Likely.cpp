#include "wording/Likely.h"

#include "quantity/Letters.h"
#include "wording/Listing.h"
#include "wording/Texts.h"

#include <algorithm>
#include <utility>

namespace anodex::wording {

Likely likely(std::string_view text, const Possible& possible) {
    const auto span = quantity::readQuantity(text);
    if (!span) {
        return {};
    }
    std::vector<quantity::QuantityReading> left;
    std::copy_if(span->readings.begin(), span->readings.end(), std::back_inserter(left), possible);
    Likely found;
    if (left.empty()) {
        return found;
    }
    found.used = span->used;
    if (left.size() == 1) {
        found.reading = left.front();
        found.halfWidth = span->doubt;
        return found;
    }
    for (const quantity::QuantityReading& reading : left) {
        found.choices.push_back(quantity::writtenOut(reading));
    }
    return found;
}

Likely likelyWhole(std::string_view text, const Possible& possible) {
    text = quantity::trimmed(text);
    Likely found = likely(text, possible);
    return found.used == text.size() ? found : Likely{};
}

std::optional<NamedAmount> namedAmount(std::string_view text, const Possible& possible) {
    text = quantity::trimmed(text);
    if (Likely front = likely(text, possible); front.used > 0) {
        const std::size_t used = front.used;
        return NamedAmount{quantity::trimmed(text.substr(used)), text.substr(0, used), true,
                           std::move(front)};
    }
    for (std::size_t i = text.find(' '); i != std::string_view::npos; i = text.find(' ', i + 1)) {
        if (Likely behind = likelyWhole(text.substr(i + 1), possible); behind.used > 0) {
            return NamedAmount{quantity::trimmed(text.substr(0, i)), quantity::trimmed(text.substr(i + 1)),
                               false, std::move(behind)};
        }
    }
    return std::nullopt;
}

std::string whichOf(std::string_view written, const std::vector<std::string>& choices) {
    return text({"entry.which-of",
                 {{"typed", std::string(quantity::trimmed(written))}, {"choices", choiceOf(choices)}}});
}

} // namespace anodex::wording
