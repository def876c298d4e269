#include "wording/pour/PourName.h"

#include "core/chemistry/NameLookup.h"
#include "quantity/Letters.h"
#include "wording/Texts.h"

#include <algorithm>
#include <array>

namespace anodex::wording {
namespace {

using chemistry::Catalogue;
using quantity::trimmed;

// Words round a name that say nothing of what it is.
constexpr std::array<std::string_view, 31> kBefore = {
    "of ",       "a ",        "an ",     "the ",  "some ",        "add ",         "pour ",      "put ",
    "dissolve ", "mix ",      "stir ",   "take ", "use ",         "then ",        "and ",       "with ",
    "fresh ",    "clean ",    "plain ",  "dry ",  "powdered ",    "ground ",      "warm ",      "hot ",
    "cold ",     "lukewarm ", "boiled ", "pure ", "crystals of ", "solution of ", "pellets of "};
constexpr std::array<std::string_view, 9> kBehind = {
    " solution", " powder", " crystals", " pellets", " granules", " flakes", " (powder)", ".", ":"};
constexpr std::string_view kMarks = ",:=;";

/// A dash between blanks, which is no minus.
bool isDash(std::string_view text) {
    return text == "-" || text.starts_with("- ");
}

// What things may be put into without saying how much of it there is.
constexpr std::string_view kVessels[] = {"water",  "it",  "jar",   "liquid", "cell",
                                         "beaker", "pot", "glass", "mix"};

std::string_view withoutLast(std::string_view text) {
    const std::string low = quantity::lowered(text);
    const auto found = std::find_if(kBehind.begin(), kBehind.end(),
                                    [&](std::string_view word) { return low.ends_with(word); });
    return found == kBehind.end() ? text : bare(text.substr(0, text.size() - found->size()));
}

std::optional<KnownName> knownAs(const Catalogue& catalogue, std::string_view name) {
    if (chemistry::findSubstance(catalogue, name)) {
        return KnownName{name, false};
    }
    return chemistry::findLiquid(catalogue, name) ? std::optional(KnownName{name, true}) : std::nullopt;
}

} // namespace

std::string_view bare(std::string_view text) {
    text = trimmed(text);
    while (!text.empty() && (kMarks.find(text.front()) != std::string_view::npos || isDash(text))) {
        text = trimmed(text.substr(1));
    }
    while (!text.empty() && (kMarks.find(text.back()) != std::string_view::npos || text.ends_with(" -"))) {
        text = trimmed(text.substr(0, text.size() - 1));
    }
    return text;
}

std::string_view withoutFirst(std::string_view text) {
    const std::string low = quantity::lowered(text);
    const auto found = std::find_if(kBefore.begin(), kBefore.end(),
                                    [&](std::string_view word) { return low.starts_with(word); });
    return found == kBefore.end() ? text : bare(text.substr(found->size()));
}

std::optional<KnownName> knownName(const Catalogue& catalogue, std::string_view name) {
    for (std::string_view front = name;;) {
        for (std::string_view both = front;;) {
            if (auto known = knownAs(catalogue, both)) {
                return known;
            }
            const std::string_view shorter = withoutLast(both);
            if (shorter == both) {
                break;
            }
            both = shorter;
        }
        const std::string_view shorter = withoutFirst(front);
        if (shorter == front) {
            return std::nullopt;
        }
        front = shorter;
    }
}

std::string whyUnknown(const Catalogue& catalogue, std::string_view name) {
    if (const auto why = chemistry::whyRefused(catalogue, name)) {
        return *why;
    }
    std::vector<std::string> names = chemistry::substanceNames(catalogue);
    for (const std::string& liquid : chemistry::liquidNames(catalogue)) {
        names.push_back(liquid);
    }
    const std::string near = chemistry::nearestName(name, names);
    return wording::text(
        {near.empty() ? "pour.unknown" : "pour.unknown-near", {{"name", std::string(name)}, {"near", near}}});
}

bool isVessel(std::string_view name) {
    for (std::string_view rest = name;; rest = withoutFirst(rest)) {
        const bool found = std::find(std::begin(kVessels), std::end(kVessels), quantity::lowered(rest)) !=
                           std::end(kVessels);
        if (found || withoutFirst(rest) == rest) {
            return found;
        }
    }
}

} // namespace anodex::wording
