// src/wording/entry/EntryLine.h - what a builder types at the bench: readings, an event, or a note.
//
// "1,02 V", "short 35 mA", "0.8 V through 10 ohm", "0.9 on the buzzer", "pH 4.2 neg", "stirred", "1.01 V 12 min
// ago", "open 1.02 V, 0.7 V at 1k after 10 min". Nothing is lost: what cannot be read as a reading becomes a note, and
// the echo says so. What has two readings, or what the cell cannot give, is asked about. A load makes a loaded reading,
// never an open circuit. A number without its unit takes the only likely one, and the echo shows it.
#pragma once
#include "core/record/Record.h"
#include "wording/Likely.h"
#include "wording/entry/EntryContext.h"

#include <string>
#include <string_view>
#include <vector>

namespace anodex::wording {

struct Entry {
    enum class Kind { Nothing, Reading, Event, Note, Question };
    Kind kind = Kind::Nothing;
    record::Reading reading;           ///< When kind is Reading; ids are left empty.
    std::vector<record::Reading> also; ///< Further readings of the same line.
    record::Event event;               ///< When kind is Event or Note.
    Question question;                 ///< When kind is Question: nothing is kept before it is answered; the
                                       ///< first choice keeps it as typed where that is possible.
    std::string echo;                  ///< How it was understood, for the user to see before Enter.
};

/// `confirmed`: the builder was asked about this line and means it; what has two readings still has to be
/// typed as meant.
[[nodiscard]] Entry readEntry(std::string_view text, record::Millis now, const EntryContext& context = {},
                              bool confirmed = false);

} // namespace anodex::wording
