// src/wording/entry/EntryTime.h - when a reading was taken, and how long its load had been on.
#pragma once
#include "wording/entry/EntryWords.h"

namespace anodex::wording {

/// "12 min ago", "now".
void takeTime(Understanding& understanding, record::Millis now);
/// "after 10 min", "10 min later", "10 min in", "for 10 min", "10 min" alone: of a load, or a short circuit.
void takeLoadedTime(Understanding& understanding);
/// A day without its clock, a clock without its day, or a time to come: the word that says it; null when none
/// does.
[[nodiscard]] const Token* unclearTimeIn(const Understanding& understanding);

} // namespace anodex::wording
