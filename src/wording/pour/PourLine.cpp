#include "wording/pour/PourLine.h"

#include "quantity/Letters.h"
#include "wording/Quantities.h"
#include "wording/Texts.h"
#include "wording/pour/PourAmount.h"
#include "wording/pour/PourName.h"
#include "wording/pour/SpokenAmount.h"

#include <algorithm>
#include <fmt/format.h>
#include <utility>

namespace anodex::wording {
namespace {

using chemistry::Catalogue;
using design::AmountUnit;
using quantity::trimmed;

constexpr std::string_view kWater = "water";

/// An amount and where it stands in the line.
struct FoundAmount {
    SpokenAmount amount;
    std::string_view written;
};

/// One thing of a line: at most two amounts and what is left for a name.
struct Part {
    std::vector<FoundAmount> amounts;
    std::string_view name;
};

std::optional<FoundAmount> amountAtEnd(const Catalogue& catalogue, std::string_view text) {
    for (std::size_t i = text.find_first_of(" :=("); i != std::string_view::npos;
         i = text.find_first_of(" :=(", i + 1)) {
        std::string_view end = bare(text.substr(i + 1));
        if (text[i] == '(' && end.ends_with(')')) {
            end.remove_suffix(1);
        }
        const auto amount = spokenAmount(catalogue, end);
        if (amount && bare(end.substr(amount->used)).empty()) {
            return FoundAmount{*amount, end};
        }
    }
    return std::nullopt;
}

/// Amounts are taken from the front as long as there are any, then from the end.
Part partOf(const Catalogue& catalogue, std::string_view text) {
    Part part;
    part.name = bare(text);
    constexpr std::size_t kMost = 2;
    while (part.amounts.size() < kMost) {
        auto amount = spokenAmount(catalogue, part.name);
        if (!amount) {
            const std::string_view shorter = withoutFirst(part.name);
            if (shorter == part.name || knownName(catalogue, part.name)) {
                break;
            }
            part.name = shorter;
            continue;
        }
        part.amounts.push_back({*amount, part.name.substr(0, amount->used)});
        part.name = bare(part.name.substr(amount->used));
    }
    while (part.amounts.size() < kMost && !knownName(catalogue, part.name)) {
        const auto amount = amountAtEnd(catalogue, part.name);
        if (!amount) {
            break;
        }
        part.amounts.push_back(*amount);
        part.name = part.name.substr(0, static_cast<std::size_t>(amount->written.data() - part.name.data()));
        part.name = bare(part.name.ends_with('(') ? part.name.substr(0, part.name.size() - 1) : part.name);
    }
    return part;
}

/// The line with what was written replaced by each choice.
Question whichAmount(std::string_view line, std::string_view written,
                     const std::vector<std::string>& choices) {
    Question question{whichOf(written, choices), {}};
    const std::string_view within = trimmed(written);
    const auto at = static_cast<std::size_t>(within.data() - line.data());
    for (const std::string& choice : choices) {
        std::string changed(line);
        changed.replace(at, within.size(), choice);
        question.choices.push_back(std::move(changed));
    }
    return question;
}

PourFault faultOf(const char* id, const std::string& first = {}, const std::string& second = {}) {
    return {wording::text({id, {{"first", first}, {"second", second}}})};
}

bool isBareVolume(const Part& part) {
    return part.name.empty() && part.amounts.size() == 1 && part.amounts[0].amount.choices.empty() &&
           !part.amounts[0].amount.isStrength() && part.amounts[0].amount.amount.unit == AmountUnit::VolumeM3;
}

/// A strength beside the mass or the volume of the solution, whichever was said first.
PourLine pouredWith(const Catalogue& catalogue, NamedPour named, const Part& part) {
    const SpokenAmount& first = part.amounts[0].amount;
    const SpokenAmount& second = part.amounts[1].amount;
    const auto isMuch = [](const SpokenAmount& amount) {
        return !amount.isStrength() && amount.amount.unit != AmountUnit::Moles;
    };
    if (first.isStrength() == second.isStrength() || !(isMuch(first) || isMuch(second))) {
        return faultOf("pour.two-amounts", std::string(trimmed(part.amounts[0].written)),
                       std::string(trimmed(part.amounts[1].written)));
    }
    named.amount = first.isStrength() ? second : first;
    named.strength = first.isStrength() ? first : second;
    return poursOf(catalogue, named);
}

PourLine pouredPart(const Catalogue& catalogue, std::string_view line, const Part& part) {
    if (part.amounts.empty()) {
        return faultOf("pour.no-amount");
    }
    if (part.name.empty()) {
        return faultOf("pour.of-what", std::string(trimmed(part.amounts[0].written)));
    }
    const auto known = knownName(catalogue, part.name);
    if (!known) {
        return PourFault{whyUnknown(catalogue, part.name)};
    }
    for (const FoundAmount& found : part.amounts) {
        if (!found.amount.choices.empty()) {
            return whichAmount(line, found.written, found.amount.choices);
        }
    }
    NamedPour named{std::string(known->text), known->readyLiquid, part.amounts[0].amount, {}};
    return part.amounts.size() == 1 ? poursOf(catalogue, named) : pouredWith(catalogue, named, part);
}

struct Joint {
    std::string_view text;
    bool into = false; ///< What follows takes up what stood before.
};
constexpr Joint kJoints[] = {{" dissolved in ", true},
                             {" mixed in ", true},
                             {" mixed with ", false},
                             {" stirred into ", true},
                             {" made up to ", true},
                             {" in ", true},
                             {" into ", true},
                             {" to ", true},
                             {" per ", true},
                             {" with ", false},
                             {" plus ", false},
                             {" and ", false},
                             {" then ", false},
                             {" + ", false},
                             {"+", false},
                             {" & ", false},
                             {"; ", false},
                             {", ", false},
                             {" on ", true},
                             {"/", true}};

struct Split {
    std::size_t at = 0;
    const Joint* joint = nullptr;
};

constexpr Joint kBeside = {" ", false};

/// "5 g salt 100 mL water": a new amount begins.
std::optional<Split> nextFigure(const std::string& low, std::size_t from) {
    for (std::size_t at = low.find(' ', from); at != std::string::npos; at = low.find(' ', at + 1)) {
        if (at + 1 < low.size() && quantity::isDigit(low[at + 1])) {
            return Split{at, &kBeside};
        }
    }
    return std::nullopt;
}

/// The first joint at or behind `from`; the longest where several begin there.
std::optional<Split> nextJoint(const std::string& low, std::size_t from) {
    std::optional<Split> best = nextFigure(low, from);
    for (const Joint& joint : kJoints) {
        const std::size_t at = low.find(joint.text, from);
        const bool better =
            at != std::string::npos &&
            (!best || at < best->at || (at == best->at && joint.text.size() > best->joint->text.size()));
        if (better) {
            best = Split{at, &joint};
        }
    }
    return best;
}

/// Reads a line from part to part; a part ends at the first joint up to which it is whole.
class LineReader {
public:
    LineReader(const Catalogue& catalogue, std::string_view line)
        : m_catalogue(catalogue), m_line(line), m_low(quantity::lowered(line)) {}

    PourLine read() {
        std::size_t from = 0;
        bool into = false;
        while (from < m_line.size()) {
            const Read next = partFrom(from, into);
            if (const auto* pours = std::get_if<std::vector<Pour>>(&next.poured)) {
                m_pours.insert(m_pours.end(), pours->begin(), pours->end());
            } else {
                return next.poured;
            }
            from = next.end;
            into = next.into;
        }
        return m_pours;
    }

private:
    struct Read {
        PourLine poured;
        bool named = false; ///< Of something that the catalogue knows.
        std::size_t end = 0;
        bool into = false; ///< The joint behind it.
    };

    /// The longest stretch that is one thing: names may have joints in them.
    Read partFrom(std::size_t from, bool into) {
        std::vector<Split> ends;
        for (auto split = nextJoint(m_low, from); split; split = nextJoint(m_low, split->at + 1)) {
            ends.push_back(*split);
        }
        ends.push_back({m_line.size(), nullptr});
        std::optional<Read> worst; // the longest that names something known, else the shortest
        for (auto end = ends.rbegin(); end != ends.rend(); ++end) {
            Read read = poured(m_line.substr(from, end->at - from), into);
            read.end = nextFrom(*end);
            read.into = end->joint != nullptr && end->joint->into;
            if (!std::holds_alternative<PourFault>(read.poured)) {
                return read;
            }
            if (!worst || !worst->named) {
                worst = std::move(read);
            }
        }
        return *worst;
    }

    [[nodiscard]] std::size_t nextFrom(const Split& end) const {
        return end.joint == nullptr ? m_line.size() : end.at + end.joint->text.size();
    }

    Read poured(std::string_view stretch, bool into) {
        Part part = partOf(m_catalogue, stretch);
        if (into && part.amounts.empty() && isVessel(part.name)) {
            return {std::vector<Pour>{}, true};
        }
        if (isBareVolume(part) && into) {
            part.name = kWater;
        }
        PourLine result = pouredPart(m_catalogue, m_line, part);
        auto* pours = std::get_if<std::vector<Pour>>(&result);
        if (pours != nullptr && pours->size() == 1 && !m_pours.empty() && into) {
            pours->front().takesTheRest = true;
        }
        return {std::move(result), knownName(m_catalogue, part.name).has_value()};
    }

    const Catalogue& m_catalogue;
    std::string_view m_line;
    std::string m_low;
    std::vector<Pour> m_pours;
};

} // namespace

AmountRead readAmount(std::string_view text) {
    const Likely found = likelyWhole(text, isPourable);
    if (!found.reading) {
        return {std::nullopt, std::nullopt, found.choices};
    }
    return {design::Amount{*amountUnitOf(found.reading->unit.dimension), found.reading->value},
            found.halfWidth,
            {}};
}

AmountRead readAmountOf(const Catalogue& catalogue, std::string_view text, std::string_view name) {
    AmountRead plain = readAmount(text);
    if (plain.amount || !plain.choices.empty()) {
        return plain;
    }
    const PourLine measured = readPours(catalogue, fmt::format("{} {}", text, name));
    const auto* pours = std::get_if<std::vector<Pour>>(&measured);
    if (pours != nullptr && pours->size() == 1 && pours->front().name == name) {
        return {pours->front().amount, pours->front().halfWidth, {}};
    }
    return plain;
}

PourLine readPours(const Catalogue& catalogue, std::string_view text) {
    text = trimmed(text);
    return text.empty() ? PourLine{faultOf("pour.no-amount")} : LineReader(catalogue, text).read();
}

} // namespace anodex::wording
