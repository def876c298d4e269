// src/wording/entry/EntryAsk.h - what has to be asked about a line before anything is kept, and what may be meant.
#pragma once
#include "wording/Likely.h"
#include "wording/entry/EntryWords.h"

#include <optional>
#include <string>
#include <string_view>

namespace anodex::wording {

/// A choice that keeps the line as words.
inline constexpr std::string_view kAsNote = " (as a note)";
[[nodiscard]] std::string asNoteChoice(std::string_view line);

/// The line with its first `part` written another way.
[[nodiscard]] std::string replaced(std::string_view line, const std::string& part, const std::string& by);

/// A number with two readings.
[[nodiscard]] std::optional<Question> unclearNumber(std::string_view line, const Tokens& words);
/// "between 0.9 and 1.0 V": a reading is one value.
[[nodiscard]] Question oneOfARange(std::string_view line, const Tokens& words, std::size_t low);
/// A time this line cannot tell.
[[nodiscard]] std::optional<Question> unclearTime(const Understanding& understanding);
/// "through ten ohm", "through 1000"
[[nodiscard]] Question whatLoad(std::string_view line, const Understanding& understanding);
/// "0.8 V at 1k, 1.02 V": is the load still on?
[[nodiscard]] Question openOrLoaded(std::string_view line, const Token& volts);

} // namespace anodex::wording
