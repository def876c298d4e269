// src/wording/EntryLine.h - what a builder types at the bench: a reading, an event, or a note.
//
// "1,02 V", "short 35 mA", "0.8 V through 10 ohm", "pH 4.2 neg", "stirred", "1.01 V 12 min ago".
// Nothing is lost: what cannot be read as a reading becomes a note, and the echo says so. What has two
// readings, or lies far beyond what the cell can give, is asked about. A load makes a loaded reading, never
// an open circuit.
#pragma once
#include "core/record/Record.h"
#include "wording/Likely.h"
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace anodex::wording {

/// What the cell is expected to give; what lies far from it is asked about.
struct EntryContext {
    std::optional<double> openCircuitVolts;
    std::optional<double> shortCircuitAmps;
};

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
