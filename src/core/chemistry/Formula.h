// src/core/chemistry/Formula.h - reads "CuSO4·5H2O", "Zn(OH)4^2-", "PbSO4(s)".
//
// Spelling   Charge: "^2-", "^+" after the formula, or a bare sign ("Na+", "SO4^2-"). Digits before a bare
//            sign are the charge when the formula is one single symbol ("Zn2+"), otherwise a count ("HSO4-").
//            Hydrate dot: "·", "*", "." or "•". Phase: "(s)", "(l)", "(g)", "(aq)". "e-" is the electron.
// Errors     FormulaError names the offset of the first character that does not fit.
#pragma once
#include <cstddef>
#include <map>
#include <string>
#include <string_view>
#include <tl/expected.hpp>

namespace anodex::chemistry {

enum class Phase { Unstated, Solid, Liquid, Gas, Aqueous };

struct Formula {
    std::map<std::string, double> elements; ///< Symbol to count; empty for the electron.
    int charge = 0;                         ///< In units of the elementary charge.
    Phase phase = Phase::Unstated;
    bool operator==(const Formula&) const = default;
};

struct FormulaError {
    enum class Code { Empty, UnexpectedCharacter, UnclosedBracket, BadCharge };
    Code code;
    std::size_t offset;
};

[[nodiscard]] tl::expected<Formula, FormulaError> parseFormula(std::string_view text);

/// kg/mol from the elements' masses in g/mol; 0 when an element is unknown (the caller validates first).
[[nodiscard]] double molarMassKg(const Formula& formula, const std::map<std::string, double>& gramsPerMole);

} // namespace anodex::chemistry
