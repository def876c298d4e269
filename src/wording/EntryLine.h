// src/wording/EntryLine.h - what a builder types at the bench: a reading, an event, or a note.
//
// "1,02 V", "short 35 mA", "0.8 V through 10 ohm", "pH 4.2 neg", "stirred", "1.01 V 12 min ago".
// Nothing is lost: what cannot be read as a reading becomes a note, and the echo says so.
#pragma once
#include "core/record/Record.h"
#include <string>
#include <string_view>

namespace anodex::wording {

struct Entry {
    enum class Kind { Nothing, Reading, Event, Note };
    Kind kind = Kind::Nothing;
    record::Reading reading; ///< When kind is Reading; ids are left empty.
    record::Event event;     ///< When kind is Event or Note.
    std::string echo;        ///< How it was understood, for the user to see before Enter.
};

[[nodiscard]] Entry readEntry(std::string_view text, record::Millis now);

} // namespace anodex::wording
