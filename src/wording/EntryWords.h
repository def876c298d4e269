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
    record::ReadingSide side = record::ReadingSide::Whole;
    std::optional<double> loadOhm;
    bool loaded = false; ///< Said to be under load, with or without its ohms.
    record::Millis when = 0;
    bool deed = false; ///< Something was done to the cell: "stirred", "added".

    [[nodiscard]] bool hasUnused(Dimension dimension) const;
};

/// Everything but the readings themselves.
[[nodiscard]] Understanding understand(std::string_view text, record::Millis now);

/// "reads", "is", "the": words that add nothing beside a reading.
[[nodiscard]] bool isFiller(const std::string& word);
/// A day without its clock, a clock without its day, or a time to come: the word that says it; null when none
/// does.
[[nodiscard]] const Token* unclearTimeIn(const Understanding& understanding);

} // namespace anodex::wording
