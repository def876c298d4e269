// src/wording/entry/EntryTokens.h - the words and quantities of a line typed at the bench, and the clauses they make.
//
// "open 1.02 V, 0.8 V at 100 ohm, short 35 mA" is three clauses. A line is parted only where both parts hold a
// reading of their own, so that "0.8 V, 100 ohm" stays one.
#pragma once
#include "core/record/Record.h"
#include "quantity/Quantity.h"
#include "wording/Quantities.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace anodex::wording {

/// A word, or a number with its unit: the likeliest reading, and the others.
struct Token {
    std::string text;
    std::optional<ParsedQuantity> quantity = {};
    std::vector<quantity::QuantityReading> readings = {};
    char mark = 0;      ///< Comma or semicolon behind it.
    bool named = false; ///< "=" or ":" behind it.
    bool used = false;

    [[nodiscard]] bool is(Dimension dimension) const { return quantity && quantity->dimension == dimension; }
    /// A number without its unit.
    [[nodiscard]] bool isBare() const { return is(Dimension::None); }
    /// In lower case.
    [[nodiscard]] std::string word() const;
    /// Gives a bare number the unit that is meant.
    void takeUnit(const quantity::UnitReading& unit);
};
using Tokens = std::vector<Token>;

[[nodiscard]] Tokens tokensOf(std::string_view text);
/// None is empty, but for an empty line.
[[nodiscard]] std::vector<Tokens> clausesOf(const Tokens& tokens);
/// What nothing was made of, as it was typed.
[[nodiscard]] std::string unusedText(const Tokens& tokens);

/// The quantity that a word names: "ocv", "pH", "shorted".
[[nodiscard]] std::optional<record::ReadingQuantity> quantityNamed(const std::string& word);

} // namespace anodex::wording
