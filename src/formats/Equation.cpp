#include "formats/Equation.h"

#include <charconv>
#include <cmath>
#include <map>

namespace anodex::formats {
namespace {

using chemistry::Catalogue;
using chemistry::SpeciesTerm;

struct Words {
    std::vector<SpeciesTerm> terms;
    double electrons = 0.0;
};

tl::expected<Words, base::Said> readWords(const Catalogue& catalogue, std::string_view text) {
    Words words;
    double sign = 1.0;
    double count = 1.0;
    while (!text.empty()) {
        const std::size_t start = text.find_first_not_of(' ');
        if (start == std::string_view::npos) {
            break;
        }
        text.remove_prefix(start);
        const std::string_view word = text.substr(0, text.find(' '));
        text.remove_prefix(word.size());
        double number = 0.0;
        const auto [end, problem] = std::from_chars(word.data(), word.data() + word.size(), number);
        if (problem == std::errc{} && end == word.data() + word.size()) {
            count = number;
            continue;
        }
        if (word == "+" || word == "-") {
            sign = word == "+" ? 1.0 : -1.0;
            continue;
        }
        if (word == "e-") {
            words.electrons += sign * count;
        } else if (const auto species = catalogue.findSpecies(word)) {
            words.terms.push_back({*species, sign * count});
        } else {
            return tl::unexpected(base::Said("the species \"{name}\"", {{"name", std::string(word)}}));
        }
        sign = 1.0;
        count = 1.0;
    }
    return words;
}

} // namespace

tl::expected<std::vector<SpeciesTerm>, base::Said> parseSide(const Catalogue& catalogue,
                                                             std::string_view text) {
    auto words = readWords(catalogue, text);
    if (!words) {
        return tl::unexpected(words.error());
    }
    return std::move(words->terms);
}

tl::expected<Equation, base::Said> parseEquation(const Catalogue& catalogue, std::string_view text) {
    const std::size_t middle = text.find(" = ");
    if (middle == std::string_view::npos) {
        return tl::unexpected(base::Said("no \" = \" in \"{text}\"", {{"text", std::string(text)}}));
    }
    auto left = readWords(catalogue, text.substr(0, middle));
    auto right = readWords(catalogue, text.substr(middle + 3));
    if (!left || !right) {
        return tl::unexpected(left ? right.error() : left.error());
    }
    Equation equation;
    equation.electrons = left->electrons - right->electrons;
    for (const SpeciesTerm& term : left->terms) {
        equation.terms.push_back({term.species, -term.count});
    }
    equation.terms.insert(equation.terms.end(), right->terms.begin(), right->terms.end());
    return equation;
}

bool isBalanced(const Catalogue& catalogue, const Equation& equation) {
    std::map<std::string, double> elements;
    double charge = equation.electrons; // electrons stand left with charge -1
    for (const SpeciesTerm& term : equation.terms) {
        const chemistry::Formula& formula = catalogue.species[term.species].formula;
        for (const auto& [symbol, count] : formula.elements) {
            elements[symbol] += term.count * count;
        }
        charge += term.count * formula.charge;
    }
    for (const auto& [symbol, sum] : elements) {
        if (std::abs(sum) > 1e-9) {
            return false;
        }
    }
    return std::abs(charge) < 1e-9;
}

} // namespace anodex::formats
