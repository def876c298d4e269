#include "wording/entry/EntryClauses.h"

#include "wording/PartText.h"
#include "wording/Texts.h"
#include "wording/entry/EntryAsk.h"
#include "wording/entry/EntryTime.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <string>

namespace anodex::wording {

using record::Millis;
using record::Reading;
using record::ReadingQuantity;

namespace {

bool isSameReading(const Reading& a, const Reading& b) {
    return a.quantity == b.quantity && a.side == b.side && a.loadOhm == b.loadOhm && a.device == b.device &&
           a.loadedSeconds == b.loadedSeconds && a.when == b.when;
}

} // namespace

void joinLoadedPair(std::vector<Reading>& readings) {
    const auto volts = std::find_if(readings.begin(), readings.end(), [](const Reading& reading) {
        return !reading.loadOhm && (reading.quantity == ReadingQuantity::OpenCircuitVoltage ||
                                    reading.quantity == ReadingQuantity::LoadedVoltage);
    });
    const auto amps = std::find_if(readings.begin(), readings.end(), [](const Reading& reading) {
        return reading.quantity == ReadingQuantity::Current && reading.value > 0.0;
    });
    if (volts != readings.end() && amps != readings.end()) {
        volts->quantity = ReadingQuantity::LoadedVoltage;
        volts->loadOhm = volts->value / amps->value;
    }
}

void shareTime(std::vector<Clause>& clauses) {
    const auto tells = [](const Clause& clause) { return clause.understanding.tellsTime; };
    if (std::count_if(clauses.begin(), clauses.end(), tells) != 1) {
        return;
    }
    const Millis when = std::find_if(clauses.begin(), clauses.end(), tells)->understanding.when;
    for (Clause& clause : clauses) {
        clause.understanding.when = when;
    }
}

std::optional<Question> shareLoad(const Line& line, std::vector<Clause>& clauses) {
    const Understanding* loaded = nullptr;
    for (Clause& clause : clauses) {
        Understanding& here = clause.understanding;
        if (here.isLoaded()) {
            loaded = &here;
            continue;
        }
        const auto volts = std::find_if(here.words.begin(), here.words.end(), [](const Token& word) {
            return !word.used && word.is(Dimension::Volt);
        });
        if (loaded == nullptr || here.quantity || volts == here.words.end()) {
            continue;
        }
        if (!here.hasUnused(Dimension::Second)) {
            return openOrLoaded(line.text, *volts);
        }
        here.loadOhm = loaded->loadOhm;
        here.device = loaded->device;
        here.loaded = true;
        takeLoadedTime(here);
    }
    return std::nullopt;
}

bool readsTwice(const std::vector<Reading>& readings) {
    for (std::size_t i = 0; i < readings.size(); ++i) {
        for (std::size_t j = 0; j < i; ++j) {
            if (isSameReading(readings[i], readings[j])) {
                return true;
            }
        }
    }
    return false;
}

std::optional<Question> togetherOrNot(const Line& line, std::vector<Clause>& clauses) {
    constexpr double kNearRest = 0.85; // of the voltage expected at rest (estimate)
    constexpr double kNearShort = 0.6; // of the current expected shorted (estimate)
    if (clauses.size() != 2 || clauses[0].readings.size() != 1 || clauses[1].readings.size() != 1) {
        return std::nullopt;
    }
    std::vector<Reading> pair = {clauses[0].readings.front(), clauses[1].readings.front()};
    const std::size_t volts = pair[0].quantity == ReadingQuantity::OpenCircuitVoltage ? 0 : 1;
    const bool unsaid = pair[volts].quantity == ReadingQuantity::OpenCircuitVoltage &&
                        pair[1 - volts].quantity == ReadingQuantity::Current &&
                        !clauses[0].understanding.quantity && !clauses[1].understanding.quantity;
    if (!unsaid) {
        return std::nullopt;
    }
    const double rest = std::abs(line.context.openCircuitVolts.value_or(HUGE_VAL));
    const double shorted = std::abs(line.context.shortCircuitAmps.value_or(HUGE_VAL));
    if (std::abs(pair[volts].value) > kNearRest * rest &&
        std::abs(pair[1 - volts].value) > kNearShort * shorted) {
        const std::string v = readingText(pair[volts]);
        const std::string a = readingText(pair[1 - volts]);
        return Question{text({"entry.together", {{"volts", v}, {"amps", a}}}),
                        {fmt::format("open {}, short {}", v, a), fmt::format("{} at {}", v, a)}};
    }
    joinLoadedPair(pair);
    clauses[0].readings.front() = pair[0];
    clauses[1].readings.front() = pair[1];
    return std::nullopt;
}

} // namespace anodex::wording
