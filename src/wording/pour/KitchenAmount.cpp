#include "wording/pour/KitchenAmount.h"

#include "quantity/Letters.h"
#include "quantity/Number.h"
#include "wording/Quantities.h"

#include <algorithm>
#include <cmath>
#include <utility>

namespace anodex::wording {
namespace {

using chemistry::Catalogue;
using chemistry::Filling;
using chemistry::KitchenMeasure;
using quantity::isDigit;
using quantity::isLetter;

/// Walks along the words of a line.
class Words {
public:
    explicit Words(std::string_view text) : m_text(quantity::lowered(text)) { skipBlanks(); }

    /// Takes the phrase if it stands here as whole words.
    bool take(std::string_view phrase) {
        const std::string_view rest = std::string_view(m_text).substr(m_at);
        const bool ends =
            rest.size() <= phrase.size() || !(isLetter(rest[phrase.size()]) || isDigit(rest[phrase.size()]));
        if (phrase.empty() || !rest.starts_with(phrase) || !ends) {
            return false;
        }
        m_at += phrase.size();
        skipBlanks();
        return true;
    }

    /// The longest of the names that stands here; null where none does.
    template <typename Entry> const Entry* takeOne(const std::vector<Entry>& entries) {
        const Entry* best = nullptr;
        std::string_view longest;
        for (const Entry& entry : entries) {
            for (const std::string& name : entry.names) {
                Words ahead = *this;
                if (name.size() > longest.size() && ahead.take(quantity::lowered(name))) {
                    best = &entry;
                    longest = name;
                }
            }
        }
        if (best != nullptr) {
            m_at += longest.size();
            m_at += m_text.substr(m_at).starts_with(". ") ? 1 : 0; // "tsp. salt"
            skipBlanks();
        }
        return best;
    }

    std::optional<double> takeNumber() {
        const auto span = quantity::readNumber(std::string_view(m_text).substr(m_at));
        if (!span || span->readings.size() != 1) {
            return std::nullopt;
        }
        m_at += span->used;
        skipBlanks();
        return span->readings.front();
    }

    [[nodiscard]] std::size_t at() const { return m_at; }

private:
    void skipBlanks() {
        for (std::size_t blank = quantity::blankAt(m_text, m_at); blank > 0;
             blank = quantity::blankAt(m_text, m_at)) {
            m_at += blank;
        }
    }

    std::string m_text;
    std::size_t m_at = 0;
};

using Counts = std::vector<std::pair<std::string_view, chemistry::FactorSpread>>;

/// The longer phrase stands before the one it begins with.
const Counts kCounts = {{"three quarters of a", {0.75, 1.0}},
                        {"three quarters", {0.75, 1.0}},
                        {"a quarter of a", {0.25, 1.0}},
                        {"quarter of a", {0.25, 1.0}},
                        {"quarter", {0.25, 1.0}},
                        {"a quarter", {0.25, 1.0}},
                        {"a third of a", {1.0 / 3.0, 1.0}},
                        {"a third", {1.0 / 3.0, 1.0}},
                        {"half of a", {0.5, 1.0}},
                        {"half a", {0.5, 1.0}},
                        {"a half", {0.5, 1.0}},
                        {"half", {0.5, 1.0}},
                        {"a couple of", {2.0, 1.0}},
                        {"a few", {3.5, 1.5}}, // common practice, no source
                        {"a", {1.0, 1.0}},
                        {"an", {1.0, 1.0}},
                        {"one", {1.0, 1.0}},
                        {"two", {2.0, 1.0}},
                        {"three", {3.0, 1.0}},
                        {"four", {4.0, 1.0}},
                        {"five", {5.0, 1.0}},
                        {"six", {6.0, 1.0}},
                        {"seven", {7.0, 1.0}},
                        {"eight", {8.0, 1.0}},
                        {"nine", {9.0, 1.0}},
                        {"ten", {10.0, 1.0}},
                        {"twelve", {12.0, 1.0}},
                        {"twenty", {20.0, 1.0}}};

/// "and a half" behind a count.
double partBehind(Words& words) {
    for (const auto& [phrase, part] : {std::pair{"and a half", 0.5}, std::pair{"and a quarter", 0.25},
                                       std::pair{"and three quarters", 0.75}}) {
        if (words.take(phrase)) {
            return part;
        }
    }
    return 0.0;
}

std::optional<chemistry::FactorSpread> countInWords(Words& words) {
    const auto found =
        std::find_if(kCounts.begin(), kCounts.end(), [&](const auto& one) { return words.take(one.first); });
    if (found == kCounts.end()) {
        return std::nullopt;
    }
    return chemistry::FactorSpread{found->second.value + partBehind(words), found->second.factor};
}

/// How many; one where nothing says so.
chemistry::FactorSpread countAt(Words& words) {
    if (const auto number = words.takeNumber()) {
        return {*number + partBehind(words), 1.0};
    }
    return countInWords(words).value_or(chemistry::FactorSpread{});
}

/// "2 teaspoons", for each measure that the word may mean.
std::vector<std::string> choicesOf(const Catalogue& catalogue, const KitchenMeasure& measure, double count) {
    std::vector<std::string> choices;
    for (const std::string& meant : measure.mayMean) {
        const auto found =
            std::find_if(catalogue.measures.begin(), catalogue.measures.end(),
                         [&](const KitchenMeasure& other) { return other.names.front() == meant; });
        const bool many = count > 1.0 && found != catalogue.measures.end() && found->names.size() > 1;
        choices.push_back(numberText(count) + " " + (many ? found->names[1] : meant));
    }
    return choices;
}

/// A word never makes a pinch surer than a pinch is; only "level" tells how full it is, though not how large.
double doubtOfFilled(const Filling& filling, const KitchenMeasure& measure) {
    const double own = measure.volumeM3.factor;
    const bool level = filling.factor.value == 1.0;
    return std::max(filling.factor.factor,
                    level ? std::sqrt(own) : own); // half of it (common practice, no source)
}

} // namespace

std::optional<SpokenCount> spokenCount(std::string_view text) {
    Words words(text);
    const auto count = countInWords(words);
    return count ? std::optional(SpokenCount{*count, words.at()}) : std::nullopt;
}

std::optional<KitchenAmount> kitchenAmount(const Catalogue& catalogue, std::string_view text) {
    Words words(text);
    chemistry::FactorSpread count = countAt(words);
    const Filling* filling = words.takeOne(catalogue.fillings);
    const KitchenMeasure* measure = words.takeOne(catalogue.measures);
    if (measure == nullptr || !(count.value > 0.0)) {
        return std::nullopt;
    }
    count.value += partBehind(words);
    KitchenAmount amount;
    amount.used = words.at();
    amount.choices = choicesOf(catalogue, *measure, count.value);
    if (amount.choices.empty()) {
        const double full = filling != nullptr ? filling->factor.value : 1.0;
        const double doubt =
            filling != nullptr ? doubtOfFilled(*filling, *measure) : measure->volumeM3.factor;
        amount.volumeM3 = {count.value * full * measure->volumeM3.value, std::max(doubt, count.factor)};
    }
    return amount;
}

} // namespace anodex::wording
