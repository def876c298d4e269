// src/formats/Equation.h - reads "O2(g) + 4 H+ + 4 e- = 2 H2O(l)" into species and counts.
#pragma once
#include "core/base/Said.h"
#include "core/chemistry/Catalogue.h"
#include <string>
#include <string_view>
#include <tl/expected.hpp>
#include <vector>

namespace anodex::formats {

struct Equation {
    std::vector<chemistry::SpeciesTerm> terms; ///< Right-hand side positive.
    double electrons = 0.0;                    ///< On the left-hand side.
};

/// "2 H+ + X^2- - H2O(l)": counts as written. The error is what could not be read.
[[nodiscard]] tl::expected<std::vector<chemistry::SpeciesTerm>, base::Said>
parseSide(const chemistry::Catalogue& catalogue, std::string_view text);

[[nodiscard]] tl::expected<Equation, base::Said> parseEquation(const chemistry::Catalogue& catalogue,
                                                               std::string_view text);

[[nodiscard]] bool isBalanced(const chemistry::Catalogue& catalogue, const Equation& equation);

} // namespace anodex::formats
