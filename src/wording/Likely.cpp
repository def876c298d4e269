#include "wording/Likely.h"

#include "quantity/Letters.h"

#include <algorithm>

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

std::string whichOf(std::string_view written, const std::vector<std::string>& choices) {
    std::string text = "\"" + std::string(quantity::trimmed(written)) + "\" may be ";
    for (std::size_t i = 0; i < choices.size(); ++i) {
        text += (i == 0 ? "" : i + 1 == choices.size() ? " or " : ", ") + choices[i];
    }
    return text + "; write the one that is meant";
}

} // namespace anodex::wording
