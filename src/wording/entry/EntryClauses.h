// src/wording/entry/EntryClauses.h - what the clauses of one line share: a time, a load, a moment.
#pragma once
#include "wording/Likely.h"
#include "wording/entry/EntryContext.h"
#include "wording/entry/EntryWords.h"

#include <optional>
#include <string_view>
#include <vector>

namespace anodex::wording {

/// A line that is being read.
struct Line {
    std::string_view text;
    const EntryContext& context;
    bool confirmed = false;
};

/// One clause with what was read in it.
struct Clause {
    Understanding understanding;
    std::vector<record::Reading> readings;
    std::optional<Question> question;
};

/// A time that one clause alone tells is that of the whole line.
void shareTime(std::vector<Clause>& clauses);

/// "0.8 V at 1k, after 10 min 0.7 V": the load is still on; without its time nobody can know.
[[nodiscard]] std::optional<Question> shareLoad(const Line& line, std::vector<Clause>& clauses);

/// "0.85 V 21 mA": read at the same time, the voltage is that of a load.
void joinLoadedPair(std::vector<record::Reading>& readings);

/// "0.85 V, 21 mA": together under a load, or one after the other, at rest and shorted.
[[nodiscard]] std::optional<Question> togetherOrNot(const Line& line, std::vector<Clause>& clauses);

/// Two values of one kind, on the same load at the same time.
[[nodiscard]] bool readsTwice(const std::vector<record::Reading>& readings);

} // namespace anodex::wording
