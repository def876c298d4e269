// tests/reference/Verification.cpp - prints docs/verification.md from the same rows the tests hold.
#include "tests/reference/Cycles.h"
#include "tests/reference/Homemade.h"
#include "tests/reference/Rows.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <cmath>
#include <cstdio>
#include <fmt/format.h>

namespace {

using namespace anodex::test;

std::string deviationText(const Row& row) {
    return row.margin == Margin::Relative ? fmt::format("{:+.2f} %", 100.0 * row.deviation())
                                          : fmt::format("{:+.4f}", row.deviation());
}

std::string targetText(const Row& row) {
    return row.margin == Margin::Relative ? fmt::format("±{:g} %", 100.0 * row.target)
                                          : fmt::format("±{:g}", row.target);
}

void printPublished() {
    const std::vector<Row> rows = publishedRows();
    const auto misses = std::count_if(rows.begin(), rows.end(), [](const Row& row) { return !row.meets(); });
    const auto entered = std::count_if(rows.begin(), rows.end(), [](const Row& row) { return row.entered; });
    fmt::print(
        "## Published values\n\n{} values that entered neither the catalogue nor a fit; {} miss their target "
        "and say why. {} more gave the\ncatalogue its value: they are shown and not counted. All are from "
        "memory, as "
        "the catalogue's own sources are.\n",
        static_cast<long>(rows.size()) - entered, misses, entered);
    std::string group;
    for (const Row& row : rows) {
        if (row.group != group) {
            group = row.group;
            fmt::print("\n### {}\n\n| what | published | computed | deviation | target | source "
                       "|\n|---|---|---|---|---|---|\n",
                       static_cast<char>(std::toupper(group.front())) + group.substr(1));
        }
        fmt::print("| {} | {:.5g} | {:.5g} | {} | {}{} | {} |\n", row.what, row.published, row.computed,
                   deviationText(row), targetText(row),
                   row.entered             ? " (entered)"
                   : row.whyMissed.empty() ? ""
                                           : " **missed**: " + row.whyMissed,
                   row.source);
    }
}

void printHomemade() {
    const std::vector<HomemadeCell>& cells = homemadeCells();
    const auto fitted =
        std::count_if(cells.begin(), cells.end(), [](const HomemadeCell& c) { return !c.fitted.empty(); });
    const auto inRange =
        std::count_if(cells.begin(), cells.end(), [](const HomemadeCell& c) { return c.inRange(); });
    const auto both =
        std::count_if(cells.begin(), cells.end(), [](const HomemadeCell& c) { return c.meetsBoth(); });
    fmt::print(
        "\n## Homemade cells\n\n{} cells with what a builder's meter shows; {} of the readings lie in the "
        "5-95 % range.\nTo {} of them a catalogue value was fitted; it is counted apart. {} of the others "
        "meet both the open "
        "circuit and the short\ncircuit from catalogue values alone. Readings of short circuits are spans; "
        "the factor counts "
        "from their geometric middle. Most are\nfrom memory and were written down before the model's answer "
        "was looked "
        "at. Changed afterwards: oxygen\non copper in neutral liquid; how deep porous layers work, with "
        "charcoal's "
        "resistance and capacitance; junctions;\nsolids that nobody put in; and the manganese dioxide in "
        "potash was "
        "given the collector its reading has.\n\n"
        "| cell | family | reads, V | computed, V | range | off by | target | short circuit: reads, computed "
        "| source |\n"
        "|---|---|---|---|---|---|---|---|---|\n",
        cells.size(), inRange, fitted, both);
    for (const HomemadeCell& cell : cells) {
        const std::string shorted =
            cell.readingAmps ? fmt::format("{:.2g} to {:.2g} A, {:.2g} A (×{:.2g} of ×{:g}){}; {}",
                                           cell.readingAmps->low, cell.readingAmps->high, cell.computedAmps,
                                           cell.computedAmps / cell.middleAmps(), cell.targetFactor(),
                                           cell.ampsMissed.empty() ? "" : " **missed**: " + cell.ampsMissed,
                                           cell.ampsSource)
                             : fmt::format("no reading known, {:.2g} A", cell.computedAmps);
        fmt::print("| {} | {} | {:.2f} | {:.3f} | {:.2f} to {:.2f} | {:+.3f} | ±{:g}{} | {} | {}{} |\n",
                   cell.name, cell.family, cell.readingVolts, cell.computedVolts, cell.range.low,
                   cell.range.high, cell.computedVolts - cell.readingVolts, cell.targetVolts(),
                   cell.missed.empty() ? "" : " **missed**: " + cell.missed, shorted, cell.source,
                   cell.fitted.empty() ? "" : "; fitted: " + cell.fitted);
    }
}

void printCycles() {
    const Cycles cycles = thermodynamicCycles();
    const auto derived = std::count_if(cycles.relations.begin(), cycles.relations.end(),
                                       [](const Relation& r) { return r.derived; });
    fmt::print("\n## Thermodynamic cycles\n\n{} relations (potentials and formation constants) among the "
               "species' energies "
               "of formation;\n{} of them gave an energy themselves and check nothing; {} independent cycles "
               "close without any energy.\n"
               "Every other relation agrees with the energies within 10 mV, but for the known conflicts:\n\n",
               cycles.relations.size(), derived, cycles.independentCycles);
    for (const Relation& relation : cycles.relations) {
        if (!relation.knownConflict.empty()) {
            fmt::print("- {}: {:+.0f} mV; {}\n", relation.equation, relation.millivolts,
                       relation.knownConflict);
        }
    }
    fmt::print("\nCouples left out:\n\n");
    for (const auto& couple : catalogue().leftOut) {
        fmt::print("- {}: {}\n", couple.equation, couple.why);
    }
    fmt::print("\n| relation | stored over computed, mV |\n|---|---|\n");
    for (const Relation& relation : cycles.relations) {
        if (!relation.derived) {
            fmt::print("| {} | {:+.1f} |\n", relation.equation, relation.millivolts + 0.0);
        }
    }
}

} // namespace

int main() {
    fmt::print("# Verification\n\nWritten by `./anodex verify` from the tables of `tests/reference`, which "
               "the tests hold to the "
               "same targets.\n\n");
    printPublished();
    printHomemade();
    printCycles();
    return 0;
}
