#include "wording/JudgeText.h"

#include "core/record/Expect.h"
#include "wording/Quantities.h"

#include <cmath>
#include <fmt/format.h>

namespace anodex::wording {
namespace {

const char* verdict(double value, const record::Expected& expected) {
    if (expected.range.contains(value)) {
        return "normal";
    }
    return value < expected.range.low ? "lower than it should be" : "higher than it should be";
}

std::string compared(double value, const std::string& shown, const std::string& wanted,
                     const record::Expected& expected) {
    return fmt::format("{} where {} was expected: {}", shown, wanted, verdict(value, expected));
}

std::string runPart(const JudgeInput& input) {
    const run::RunAnalysis& run = *input.run;
    if (run.dischargeCoulombs <= 0.0) {
        return fmt::format("it rested for {}", durationText(run.durationSeconds));
    }
    const double share = input.expectation.capacityCoulombs.value > 0.0
                             ? run.dischargeCoulombs / input.expectation.capacityCoulombs.value
                             : 0.0;
    std::string text = fmt::format("delivered {} in {}", chargeText(run.dischargeCoulombs),
                                   durationText(run.durationSeconds));
    if (share > 0.0) {
        const std::string percent = numberText(100.0 * share, 2);
        text += run.ranDown ? fmt::format(", {} % of what was expected, and was then run down", percent)
                            : fmt::format(", {} % of what it should hold, and was not empty yet", percent);
    }
    const double sag = run.loadedVolts - run.lastVolts;
    if (run.loadedVolts > 0.0 && sag > 0.1 * run.loadedVolts) {
        text += fmt::format("; under load it fell from {} to {}", quantityText(run.loadedVolts, Unit::Volt),
                            quantityText(run.lastVolts, Unit::Volt));
    }
    const auto wanted =
        run.internalOhm ? record::expectedInternalOhm(input.expectation, run.stepAmps) : std::nullopt;
    if (wanted && !wanted->range.contains(*run.internalOhm)) {
        text +=
            fmt::format("; inside it had {} where {} was expected", quantityText(*run.internalOhm, Unit::Ohm),
                        quantityText(wanted->value, Unit::Ohm, wanted->range));
    }
    return text;
}

} // namespace

std::string judgeSentence(const JudgeInput& input) {
    std::vector<std::string> parts;
    if (input.openCircuit) {
        parts.push_back(compared(input.openCircuit->value,
                                 numberText(input.openCircuit->value, 4) + "\u00A0V",
                                 quantityText(input.expectation.openCircuitVolts.value, Unit::Volt,
                                              input.expectation.openCircuitVolts.range),
                                 input.expectation.openCircuitVolts));
    }
    if (input.shortCircuit) {
        parts.push_back(compared(input.shortCircuit->value,
                                 quantityText(input.shortCircuit->value, Unit::Ampere),
                                 quantityText(input.expectation.shortCircuitAmps.value, Unit::Ampere,
                                              input.expectation.shortCircuitAmps.range),
                                 input.expectation.shortCircuitAmps));
    }
    if (input.run) {
        const auto loaded = record::expectedLoadedVolts(input.expectation, input.run->loadedAmps);
        if (loaded && input.run->loadedAmps > 0.0) {
            parts.push_back("under load " +
                            compared(input.run->loadedVolts,
                                     quantityText(input.run->loadedVolts, Unit::Volt, loaded->range),
                                     quantityText(loaded->value, Unit::Volt, loaded->range), *loaded));
        }
        parts.push_back(runPart(input));
    }
    if (parts.empty()) {
        return "Nothing measured yet: read the open circuit first, then load it.";
    }
    std::string sentence = parts.front();
    for (std::size_t i = 1; i < parts.size(); ++i) {
        sentence += "; " + parts[i];
    }
    sentence += ".";
    return sentence;
}

} // namespace anodex::wording
