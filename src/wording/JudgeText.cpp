#include "wording/JudgeText.h"

#include "core/record/Expect.h"
#include "wording/Quantities.h"
#include "wording/Texts.h"

#include <cmath>

namespace anodex::wording {
namespace {

using base::Said;

constexpr double kNoSuchCell = 8.0; // times beyond the range: rather the meter than the cell

const char* verdict(double value, const record::Expected& expected) {
    const base::Interval& range = expected.range;
    if (range.contains(value)) {
        return "normal";
    }
    if (value < range.low) {
        return value > 0.0 && value * kNoSuchCell < range.low ? "trace" : "low";
    }
    return range.high > 0.0 && value > kNoSuchCell * range.high ? "beyond" : "high";
}

/// How many times the larger of both holds the smaller, in round figures.
std::string times(double value, double expected) {
    if (value <= 0.0 || expected <= 0.0) {
        return {};
    }
    const double ratio = value > expected ? value / expected : expected / value;
    const double decade = std::pow(10.0, std::floor(std::log10(ratio)));
    return numberText(std::round(ratio / decade) * decade, 1);
}

Said compared(const char* id, double value, const std::string& shown, Unit unit,
              const record::Expected& expected) {
    return {id,
            {{"shown", shown},
             {"wanted", quantityText(expected.value, unit, expected.range)},
             {"verdict", verdict(value, expected)},
             {"times", times(value, expected.value)}}};
}

/// What a run delivered, how it sagged, and what stood in its way.
void addRun(const JudgeInput& input, std::vector<Said>& parts) {
    const run::RunAnalysis& run = *input.run;
    if (run.dischargeCoulombs <= 0.0) {
        parts.push_back(Said("judge.rested", {{"time", durationText(run.durationSeconds)}}));
        return;
    }
    const double expected = input.expectation.capacityCoulombs.value;
    const double share = expected > 0.0 ? run.dischargeCoulombs / expected : 0.0;
    parts.push_back(Said(share <= 0.0  ? "judge.delivered"
                         : run.ranDown ? "judge.delivered-all"
                                       : "judge.delivered-so-far",
                         {{"charge", chargeText(run.dischargeCoulombs)},
                          {"time", durationText(run.durationSeconds)},
                          {"percent", numberText(100.0 * share, 2)}}));
    const double sag = run.loadedVolts - run.lastVolts;
    if (run.loadedVolts > 0.0 && sag > 0.1 * run.loadedVolts) {
        parts.push_back(Said("judge.sagged", {{"from", quantityText(run.loadedVolts, Unit::Volt)},
                                              {"to", quantityText(run.lastVolts, Unit::Volt)}}));
    }
    const auto wanted =
        run.internalOhm ? record::expectedInternalOhm(input.expectation, run.stepAmps) : std::nullopt;
    if (wanted && !wanted->range.contains(*run.internalOhm)) {
        parts.push_back(
            Said("judge.inside", {{"shown", quantityText(*run.internalOhm, Unit::Ohm)},
                                  {"wanted", quantityText(wanted->value, Unit::Ohm, wanted->range)}}));
    }
}

} // namespace

std::string judgeSentence(const JudgeInput& input) {
    std::vector<Said> parts;
    if (input.openCircuit) {
        const double volts = input.openCircuit->value;
        parts.push_back(compared("judge.compared", volts, numberText(volts, 4) + "\u00A0V", Unit::Volt,
                                 input.expectation.openCircuitVolts));
    }
    if (input.shortCircuit) {
        const double amps = input.shortCircuit->value;
        parts.push_back(compared("judge.compared", amps, quantityText(amps, Unit::Ampere), Unit::Ampere,
                                 input.expectation.shortCircuitAmps));
    }
    if (input.run) {
        const double volts = input.run->loadedVolts;
        const auto loaded = record::expectedLoadedVolts(input.expectation, input.run->loadedAmps);
        if (loaded && input.run->loadedAmps > 0.0) {
            parts.push_back(compared("judge.compared-loaded", volts,
                                     quantityText(volts, Unit::Volt, loaded->range), Unit::Volt, *loaded));
        }
        addRun(input, parts);
    }
    return parts.empty() ? text("judge.nothing") : text(Said("judge.all", {{"all", parts}}));
}

} // namespace anodex::wording
