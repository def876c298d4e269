#include "tests/reference/Homemade.h"
#include "core/design/Resolve.h"

#include "formats/CellFile.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <cmath>
#include <stdexcept>

namespace anodex::test {
namespace {

HomemadeCell evaluatedCell(const formats::Json& row) {
    HomemadeCell cell;
    cell.file = row.at("file");
    cell.kind = row.at("kind");
    cell.source = row.at("source");
    cell.fitted = row.value("fitted", "");
    cell.missed = row.value("missed", "");
    cell.readingVolts = row.at("open_circuit_V");
    if (row.contains("short_circuit_A")) {
        const formats::Json& amps = row.at("short_circuit_A");
        cell.readingAmps = {amps.at(0), amps.at(1)};
        cell.limitedBy = row.at("limited_by");
        cell.ampsSource = row.at("short_circuit_source");
        cell.ampsMissed = row.value("short_circuit_missed", "");
    }
    const auto path = sourceDir() / "tests/data/cells/homemade" / (cell.file + ".cell.json");
    const auto design = formats::readCellFile(readText(path));
    if (!design) {
        throw std::runtime_error(cell.file + ": " + design.error().field);
    }
    cell.name = design->name;
    cell.family = design->family;
    const auto resolved = design::resolve(catalogue(), *design);
    if (!resolved) {
        throw std::runtime_error(cell.file + ": " + resolved.error().field);
    }
    const cell::Evaluation evaluation = cell::evaluate(catalogue(), *resolved);
    cell.computedVolts = evaluation.openCircuitVolts;
    cell.computedAmps = evaluation.first.shortCircuitAmps;
    cell.range = cell::estimateDoubt(catalogue(), *resolved, evaluation)->openCircuitVolts;
    return cell;
}

} // namespace

double HomemadeCell::targetVolts() const {
    if (kind == "reversible") {
        return 0.03;
    }
    if (kind == "breathing carbon") {
        return 0.15;
    }
    return kind == "metal in acid or neutral liquid" ? 0.12 : 0.25;
}

double HomemadeCell::targetFactor() const {
    return limitedBy == "oxygen" ? 5.0 : 2.0;
}

bool HomemadeCell::meetsVolts() const {
    return std::abs(computedVolts - readingVolts) <= targetVolts();
}

double HomemadeCell::middleAmps() const {
    return std::sqrt(readingAmps->low * readingAmps->high);
}

bool HomemadeCell::meetsAmps() const {
    return std::abs(std::log(computedAmps / middleAmps())) <= std::log(targetFactor());
}

bool HomemadeCell::meetsBoth() const {
    return fitted.empty() && meetsVolts() && readingAmps && meetsAmps();
}

bool HomemadeCell::inRange() const {
    return range.low <= readingVolts && readingVolts <= range.high;
}

const std::vector<HomemadeCell>& homemadeCells() {
    static const std::vector<HomemadeCell> kCells = [] {
        const auto readings =
            formats::Json::parse(readText(sourceDir() / "tests/data/cells/homemade/readings.json"));
        std::vector<HomemadeCell> cells;
        for (const formats::Json& row : readings.at("cells")) {
            cells.push_back(evaluatedCell(row));
        }
        return cells;
    }();
    return kCells;
}

} // namespace anodex::test
