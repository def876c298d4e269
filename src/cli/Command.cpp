#include "cli/Command.h"

#include "wording/Texts.h"
#include "wording/TypedValue.h"

#include <cmath>

namespace anodex::cli {

const std::string& Call::text(const std::string& option) const {
    static const std::string kNothing;
    const auto found = m_values.find(option);
    return found == m_values.end() ? kNothing : found->second;
}

/// The parser reads numbers with the C library, which follows the locale; ours never does.
std::optional<double> Call::number(const std::string& option) const {
    const std::string& typed = text(option);
    if (typed.empty()) {
        return std::nullopt;
    }
    const wording::TypedValue value = wording::typedValue(typed, wording::Dimension::Ampere, 1.0);
    if (!value.si) {
        throw value.choices.empty() ? misfit(option, typed, wording::text("cli.right.number"))
                                    : stopAt(kUsage, option, wording::whichOf(typed, value.choices));
    }
    return value.si;
}

int Call::count(const std::string& option, int fallback, int least) const {
    constexpr double kMost = 1e6;
    const auto value = number(option);
    if (!value) {
        return fallback;
    }
    if (*value != std::floor(*value) || *value < least || *value > kMost) {
        throw misfit(option, text(option),
                     wording::text({"cli.right.count", {{"least", std::to_string(least)}}}));
    }
    return static_cast<int>(*value);
}

const chemistry::Catalogue& Call::catalogue() const {
    if (!m_catalogue) {
        m_catalogue = loadCatalogue(text("--catalogue"));
    }
    return *m_catalogue;
}

} // namespace anodex::cli
