#include "core/chemistry/NameLookup.h"

#include <algorithm>
#include <iterator>
#include <numeric>

namespace anodex::chemistry {
namespace {

bool isBlank(char c) {
    return c == ' ' || c == '-' || c == '_' || c == '\t';
}

char lowerCase(char c) {
    return c >= 'A' && c <= 'Z' ? static_cast<char>(c - 'A' + 'a') : c;
}

/// foldedName(name) == folded, without making it.
bool foldsTo(std::string_view name, std::string_view folded) {
    std::size_t at = 0;
    bool afterBlank = false;
    for (const char c : name) {
        if (isBlank(c)) {
            afterBlank = at > 0;
            continue;
        }
        if (afterBlank && (at == folded.size() || folded[at++] != ' ')) {
            return false;
        }
        afterBlank = false;
        if (at == folded.size() || folded[at++] != lowerCase(c)) {
            return false;
        }
    }
    return at == folded.size();
}

bool anyFoldsTo(const std::vector<std::string>& names, std::string_view folded) {
    return std::any_of(names.begin(), names.end(),
                       [&](const std::string& name) { return foldsTo(name, folded); });
}

template <typename Entry> bool answersTo(const Entry& entry, std::string_view folded) {
    return foldsTo(entry.id, folded) || foldsTo(entry.name, folded) || anyFoldsTo(entry.aliases, folded);
}

/// "Sulphate" as the catalogue spells it.
std::string cataloguedSpelling(std::string folded) {
    constexpr std::string_view kOther = "sulph";
    constexpr std::string_view kOurs = "sulf";
    for (std::size_t at = folded.find(kOther); at != std::string::npos; at = folded.find(kOther, at + 1)) {
        folded.replace(at, kOther.size(), kOurs);
    }
    return folded;
}

template <typename Entry>
std::optional<std::size_t> findByName(const std::vector<Entry>& entries, std::string_view name) {
    const auto at = [&](const std::string& folded) -> std::optional<std::size_t> {
        for (std::size_t index = 0; index < entries.size(); ++index) {
            if (answersTo(entries[index], folded)) {
                return index;
            }
        }
        return std::nullopt;
    };
    const std::string folded = foldedName(name);
    const auto found = at(folded);
    const std::string spelled = found ? folded : cataloguedSpelling(folded);
    return spelled == folded ? found : at(spelled);
}

template <typename Entry> std::vector<std::string> namesOf(const std::vector<Entry>& entries) {
    std::vector<std::string> names;
    for (const Entry& entry : entries) {
        names.push_back(entry.name);
        names.push_back(entry.id);
        names.insert(names.end(), entry.aliases.begin(), entry.aliases.end());
    }
    return names;
}

/// "Cu SO₄ · 5 H₂O" as "CuSO4·5H2O": typed from a book, with small figures and blanks.
std::string plainFormula(std::string_view name) {
    constexpr std::string_view kSmallFigures[] = {"₀", "₁", "₂", "₃", "₄", "₅", "₆", "₇", "₈", "₉"};
    std::string plain;
    for (std::size_t i = 0; i < name.size();) {
        std::size_t figure = 0;
        while (figure < std::size(kSmallFigures) && !name.substr(i).starts_with(kSmallFigures[figure])) {
            ++figure;
        }
        if (figure < std::size(kSmallFigures)) {
            plain += static_cast<char>('0' + figure);
            i += kSmallFigures[figure].size();
        } else {
            plain += name[i] == ' ' ? std::string() : std::string(1, name[i]);
            ++i;
        }
    }
    return plain;
}

bool sameComposition(const Formula& a, const Formula& b) {
    return a.elements == b.elements && a.charge == b.charge;
}

} // namespace

std::string foldedName(std::string_view name) {
    std::string folded;
    for (const char c : name) {
        if (isBlank(c)) {
            if (!folded.empty() && folded.back() != ' ') {
                folded += ' ';
            }
        } else {
            folded += lowerCase(c);
        }
    }
    while (!folded.empty() && folded.back() == ' ') {
        folded.pop_back();
    }
    return folded;
}

std::optional<SubstanceName> findSubstance(const Catalogue& catalogue, std::string_view name) {
    if (const auto index = findByName(catalogue.substances, name)) {
        return SubstanceName{*index, std::nullopt};
    }
    const std::string folded = cataloguedSpelling(foldedName(name));
    for (std::size_t index = 0; index < catalogue.substances.size(); ++index) {
        const auto& hydrates = catalogue.substances[index].hydrates;
        for (std::size_t which = 0; which < hydrates.size(); ++which) {
            if (anyFoldsTo(hydrates[which].names, folded)) {
                return SubstanceName{index, which};
            }
        }
    }
    return findSubstanceOfFormula(catalogue, name);
}

std::optional<SubstanceName> findSubstanceOfFormula(const Catalogue& catalogue, std::string_view text) {
    const auto formula = parseFormula(plainFormula(text));
    if (!formula) {
        return std::nullopt;
    }
    for (std::size_t index = 0; index < catalogue.substances.size(); ++index) {
        const Substance& substance = catalogue.substances[index];
        if (sameComposition(substance.formula, *formula)) {
            return SubstanceName{index, std::nullopt};
        }
        for (std::size_t which = 0; which < substance.hydrates.size(); ++which) {
            if (sameComposition(substance.hydrates[which].formula, *formula)) {
                return SubstanceName{index, which};
            }
        }
    }
    return std::nullopt;
}

const std::string& nameOf(const Catalogue& catalogue, const SubstanceName& name) {
    const Substance& substance = catalogue.substances[name.substance];
    const auto* hydrate = name.hydrate ? &substance.hydrates[*name.hydrate] : nullptr;
    return hydrate != nullptr && !hydrate->names.empty() ? hydrate->names.front() : substance.name;
}

std::optional<std::size_t> findLiquid(const Catalogue& catalogue, std::string_view name) {
    return findByName(catalogue.liquids, name);
}

std::optional<std::size_t> findMaterial(const Catalogue& catalogue, std::string_view name) {
    if (const auto index = findByName(catalogue.materials, name)) {
        return index;
    }
    for (std::size_t index = 0; index < catalogue.materials.size(); ++index) {
        if (!catalogue.materials[index].formulaText.empty() &&
            catalogue.materials[index].formulaText == name) {
            return index;
        }
    }
    return std::nullopt;
}

std::optional<std::size_t> findSeparator(const Catalogue& catalogue, std::string_view name) {
    return findByName(catalogue.separators, name);
}

std::optional<std::size_t> findCase(const Catalogue& catalogue, std::string_view name) {
    return findByName(catalogue.cases, name);
}

std::optional<std::string> whyRefused(const Catalogue& catalogue, std::string_view name) {
    const std::string folded = foldedName(name);
    for (const Refused& entry : catalogue.refused) {
        if (anyFoldsTo(entry.names, folded)) {
            return entry.why;
        }
    }
    return std::nullopt;
}

std::vector<std::string> substanceNames(const Catalogue& catalogue) {
    std::vector<std::string> names = namesOf(catalogue.substances);
    for (const Substance& substance : catalogue.substances) {
        names.push_back(substance.formulaText);
        for (const Hydrate& hydrate : substance.hydrates) {
            names.push_back(hydrate.formulaText);
            names.insert(names.end(), hydrate.names.begin(), hydrate.names.end());
        }
    }
    return names;
}

std::vector<std::string> materialNames(const Catalogue& catalogue) {
    return namesOf(catalogue.materials);
}
std::vector<std::string> liquidNames(const Catalogue& catalogue) {
    return namesOf(catalogue.liquids);
}
std::vector<std::string> separatorNames(const Catalogue& catalogue) {
    return namesOf(catalogue.separators);
}
std::vector<std::string> caseNames(const Catalogue& catalogue) {
    return namesOf(catalogue.cases);
}

std::vector<std::string> kindsOfLiquid(const Catalogue& catalogue, std::string_view wanted) {
    const std::string target = foldedName(wanted);
    std::vector<std::string> kinds;
    for (const ReadyLiquid& liquid : catalogue.liquids) {
        if (!target.empty() && foldedName(liquid.name).starts_with(target)) {
            kinds.push_back(liquid.name);
        }
    }
    return kinds;
}

std::string nearestName(std::string_view wanted, const std::vector<std::string>& names) {
    const std::string target = foldedName(wanted);
    std::string best;
    std::size_t bestDistance = std::max<std::size_t>(2, target.size() / 2);
    for (const std::string& name : names) {
        const std::string candidate = foldedName(name);
        std::vector<std::size_t> row(candidate.size() + 1);
        std::iota(row.begin(), row.end(), std::size_t{0});
        for (std::size_t i = 1; i <= target.size(); ++i) {
            std::size_t diagonal = row[0];
            row[0] = i;
            for (std::size_t j = 1; j <= candidate.size(); ++j) {
                const std::size_t replaced = diagonal + (target[i - 1] == candidate[j - 1] ? 0 : 1);
                diagonal = row[j];
                row[j] = std::min({row[j] + 1, row[j - 1] + 1, replaced});
            }
        }
        if (row.back() < bestDistance) {
            bestDistance = row.back();
            best = name;
        }
    }
    return best;
}

} // namespace anodex::chemistry
