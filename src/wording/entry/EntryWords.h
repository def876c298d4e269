// src/wording/entry/EntryWords.h - what the words of one clause say besides its numbers: what was read, on which side, on
// what load, and when.
#pragma once
#include "core/load/Device.h"
#include "wording/entry/EntryTokens.h"

#include <optional>
#include <string>
#include <vector>

namespace anodex::wording {

struct Understanding {
    Tokens words;
    std::optional<record::ReadingQuantity> quantity; ///< That a word names.
    bool saysShort = false;                          ///< Beside another word: "open 1.02 V, short 35 mA".
    record::ReadingSide side = record::ReadingSide::Whole;
    std::optional<double> loadOhm;
    std::optional<record::OnDevice> device;
    std::optional<double> loadedSeconds;   ///< That the load had been on for.
    bool loaded = false;                   ///< Said to be under load, with or without its ohms.
    bool loadUnclear = false;              ///< A load is named that does not read: "through ten ohm" …
    std::optional<std::size_t> loadNumber; ///< … or the number without a unit that stands for it.
    record::Millis when = 0;
    bool tellsTime = false;

    [[nodiscard]] bool hasUnused(Dimension dimension) const;
    [[nodiscard]] bool has(Dimension dimension) const;
    [[nodiscard]] bool isLoaded() const { return loaded || loadOhm || device; }
};

/// "V=0.98", "I = 3 mA", "R=1k": the letters of a formula name a unit.
void takeLetters(Understanding& understanding);
/// "ocv", "pH", "neg"
void takeWords(Understanding& understanding);
/// "voltage 1.02": without a load on it, at rest. "current 3": of no word yet.
void takeMeterWords(Understanding& understanding);

/// Something was done to the cell: "stirred", "added".
[[nodiscard]] bool tellsADeed(const Tokens& tokens);
/// "reads", "is", "the": words that add nothing beside a reading.
[[nodiscard]] bool isFiller(const std::string& word);
/// "0.9" in "between 0.9 and 1.0 V" or "0.9 to 1 V": where it stands; nothing where the line gives no range.
[[nodiscard]] std::optional<std::size_t> rangeIn(const Tokens& words);
/// "1" in "1 ,02 V" or "1. 02 V": a number on its own right before one that was read, where it stands.
[[nodiscard]] std::optional<std::size_t> strayNumberIn(const Tokens& words);

} // namespace anodex::wording
