// src/wording/EntryWords.h - the words of a line typed at the bench, and what they say besides the numbers.
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
    std::optional<ParsedQuantity> quantity;
    std::vector<quantity::QuantityReading> readings = {};
    bool used = false;
};

struct Understanding {
    std::vector<Token> words;
    std::optional<record::ReadingQuantity> quantity; ///< That a word names.
    bool saysShort = false;                          ///< Beside another word: "open 1.02 V, short 35 mA".
    record::ReadingSide side = record::ReadingSide::Whole;
    std::optional<double> loadOhm;
    bool loaded = false;      ///< Said to be under load, with or without its ohms.
    bool loadUnclear = false; ///< A load is named that does not read: "through ten ohm".
    record::Millis when = 0;
    bool deed = false; ///< Something was done to the cell: "stirred", "added".

    [[nodiscard]] bool hasUnused(Dimension dimension) const;
    [[nodiscard]] bool has(Dimension dimension) const;
};

/// Everything but the readings themselves.
[[nodiscard]] Understanding understand(std::string_view text, record::Millis now);

/// "reads", "is", "the": words that add nothing beside a reading.
[[nodiscard]] bool isFiller(const std::string& word);
/// "0.9" in "between 0.9 and 1.0 V" or "0.9 to 1 V": where it stands; nothing where the line gives no range.
[[nodiscard]] std::optional<std::size_t> rangeIn(const Understanding& understanding);
/// "1" in "1 ,02 V" or "1. 02 V": a number on its own right before one that was read, where it stands.
[[nodiscard]] std::optional<std::size_t> strayNumberIn(const Understanding& understanding);
/// A day without its clock, a clock without its day, or a time to come: the word that says it; null when none
/// does.
[[nodiscard]] const Token* unclearTimeIn(const Understanding& understanding);

} // namespace anodex::wording
