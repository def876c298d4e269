// A little more of anything moves an answer a little: two hundred random cells beside the same with one small change.
#include "core/cell/Evaluation.h"
#include "core/design/Resolve.h"
#include "core/findings/Findings.h"
#include "formats/CellFile.h"
#include "tests/fuzz/RandomDesign.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>

namespace anodex::fuzz {
namespace {

using design::Cell;
using design::Side;

constexpr int kPairs = 200;
constexpr int kMostThatStep = 10; // where a solid appears or a film breaks
constexpr double kLeastAmps = 1e-6;

void strengthen(Cell& cell) {
    for (liquid::Mixture& mixture : cell.poured) {
        for (liquid::Portion& portion : mixture.portions) {
            portion.moles *= 1.05;
        }
    }
}

void warm(Cell& cell) {
    cell.temperatureKelvin += 1.0;
    for (liquid::Mixture& mixture : cell.poured) {
        mixture.temperatureKelvin += 1.0;
    }
}

void widen(Cell& cell, Side side) {
    design::Electrode& electrode = cell.electrodes[static_cast<std::size_t>(side)];
    electrode.areaM2 *= 1.1;
    electrode.massKg *= 1.1;
}

cell::Evaluation answerOf(const Cell& cell) {
    return cell::evaluate(test::catalogue(), cell, {0});
}

/// What its liquids have, as if it had been measured.
void measureAcidity(Cell& cell) {
    const cell::Evaluation found = answerOf(cell);
    for (const Side side : {Side::Negative, Side::Positive}) {
        cell.poured[static_cast<std::size_t>(side)].measuredPh = found.solution(side).pH;
    }
}

void turnAlkaline(Cell& cell) {
    for (liquid::Mixture& mixture : cell.poured) {
        mixture.measuredPh = *mixture.measuredPh + 0.1;
    }
}

double factorBetween(double a, double b) {
    if (std::max(std::abs(a), std::abs(b)) < kLeastAmps) {
        return 1.0;
    }
    return a * b > 0.0 ? std::max(a / b, b / a) : 1e9;
}

bool steps(const cell::Evaluation& before, const cell::Evaluation& after, double mostVolts) {
    constexpr double kMostFactor = 1.65;
    const auto apart = [&](Side side) {
        return std::abs(before.side(side).restVolts - after.side(side).restVolts);
    };
    return std::max(apart(Side::Negative), apart(Side::Positive)) > mostVolts ||
           factorBetween(before.first.shortCircuitAmps, after.first.shortCircuitAmps) > kMostFactor ||
           factorBetween(before.settled.shortCircuitAmps, after.settled.shortCircuitAmps) > kMostFactor;
}

/// Something that is said of the cell tells that it stands at an edge: a film, a solid, or next to nothing that drives it.
bool isExplained(const Cell& cell, const cell::Evaluation& evaluation) {
    using findings::FindingCode;
    constexpr FindingCode kEdges[] = {FindingCode::FilmUndecided, FindingCode::Precipitate,
                                      FindingCode::Undissolved,   FindingCode::RestAlike,
                                      FindingCode::SameMaterial,  FindingCode::HardlyAnyCurrent,
                                      FindingCode::NoPhScale,     FindingCode::PlatesOnNegative,
                                      FindingCode::StarvedOfAir,  FindingCode::RestSways};
    const std::vector<findings::Finding> found = findings::findingsFor(test::catalogue(), cell, evaluation);
    return std::any_of(found.begin(), found.end(), [&](const findings::Finding& finding) {
        return std::find(std::begin(kEdges), std::end(kEdges), finding.code) != std::end(kEdges);
    });
}

TEST(SmallChanges, MoveAnswersALittle) {
    constexpr double kMostVolts = 0.03;
    constexpr double kMostVoltsPerKelvin = 0.01;
    Coverage coverage;
    std::vector<std::string> stepped;
    for (int number = 0; number < kPairs; ++number) {
        const formats::Json file =
            RandomDesign(test::catalogue(), 12, static_cast<std::uint64_t>(number)).cell(coverage);
        Cell cell = test::cellOf(file.dump());
        const int change = number % 4;
        if (change == 1) {
            measureAcidity(cell);
        }
        Cell changed = cell;
        if (change == 0) {
            strengthen(changed);
        } else if (change == 1) {
            turnAlkaline(changed);
        } else if (change == 2) {
            widen(changed, number % 8 < 4 ? Side::Negative : Side::Positive);
        } else {
            warm(changed);
        }
        const double most = change == 3 ? kMostVoltsPerKelvin : kMostVolts;
        const cell::Evaluation before = answerOf(cell);
        const cell::Evaluation after = answerOf(changed);
        if (steps(before, after, most)) {
            stepped.push_back("number " + std::to_string(number) + ": " + file.dump());
            EXPECT_TRUE(isExplained(cell, before) || isExplained(changed, after)) << stepped.back();
        }
    }
    EXPECT_LE(stepped.size(), static_cast<std::size_t>(kMostThatStep)) << [&] {
        std::string all;
        for (const std::string& one : stepped) {
            all += one + "\n";
        }
        return all;
    }();
}

} // namespace
} // namespace anodex::fuzz
