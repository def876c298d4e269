#include "formats/run/RunSign.h"

#include "core/run/CurrentSign.h"
#include "formats/run/RowReader.h"
#include "quantity/Letters.h"

#include <algorithm>
#include <cmath>

namespace anodex::formats {
namespace {

constexpr double kSettled = 0.9995;

struct Samples {
    std::vector<double> volts;
    std::vector<double> amps;
};

/// Rows in which both can be read, oldest first.
Samples samplesOf(const RunTable& table, const CsvMapping& mapping) {
    CsvMapping plain = mapping;
    plain.time = TimeForm::Rows;
    plain.intervalSeconds = 1.0;
    plain.currentPositiveOnCharge = false;
    CsvRun run;
    RowReader reader(plain, table.names, run);
    for (const auto& row : table.rows) {
        std::string line;
        for (const std::string& cell : row) {
            line += (line.empty() ? "" : "\t") + cell;
        }
        plain.delimiter = '\t';
        (void)reader.take(line);
    }
    Samples samples{run.samples.volts, run.samples.amps};
    if (mapping.newestFirst) {
        std::reverse(samples.volts.begin(), samples.volts.end());
        std::reverse(samples.amps.begin(), samples.amps.end());
    }
    return samples;
}

/// Scatter from one reading to the next.
double noiseOf(const std::vector<double>& volts) {
    double sum = 0.0;
    double squares = 0.0;
    for (std::size_t i = 1; i < volts.size(); ++i) {
        const double step = volts[i] - volts[i - 1];
        sum += step;
        squares += step * step;
    }
    const double count = static_cast<double>(std::max<std::size_t>(1, volts.size() - 1));
    return std::sqrt(std::max(0.0, squares / count - sum / count * sum / count) / 2.0);
}

/// Without steps: the course of the voltage while current flows.
double fromCourse(const Samples& s) {
    constexpr double kClear = 0.02;   // V
    constexpr double kLeast = 0.0005; // V, where nothing scatters
    constexpr double kTimesNoise = 8.0;
    double mean = 0.0;
    for (const double amps : s.amps) {
        mean += amps / static_cast<double>(s.amps.size());
    }
    const auto part = std::max<std::size_t>(1, s.volts.size() / 10);
    double first = 0.0;
    double last = 0.0;
    for (std::size_t i = 0; i < part; ++i) {
        first += s.volts[i] / static_cast<double>(part);
        last += s.volts[s.volts.size() - 1 - i] / static_cast<double>(part);
    }
    const double rise = last - first;
    const bool aboveNoise = std::abs(rise) > kLeast && std::abs(rise) > kTimesNoise * noiseOf(s.volts);
    if ((std::abs(rise) < kClear && !aboveNoise) || mean == 0.0) {
        return 0.5;
    }
    return rise * mean > 0.0 ? 0.995 : 0.005;
}

} // namespace

double oddsPositiveOnCharge(const RunTable& table, const CsvMapping& mapping, const std::string& name) {
    const bool batteryDataFormat =
        std::find(table.names.begin(), table.names.end(), "Test Time / s") != table.names.end();
    if (batteryDataFormat) {
        return 1.0;
    }
    const Samples samples = samplesOf(table, mapping);
    const bool flows =
        std::any_of(samples.amps.begin(), samples.amps.end(), [](double amps) { return amps != 0.0; });
    if (!flows || samples.volts.size() < 2) {
        return -1.0;
    }
    const auto steps = run::shareMovingTogether(samples.volts, samples.amps);
    const double odds = steps ? std::clamp(*steps, 1.0 - kSettled, kSettled) : fromCourse(samples);
    const std::string words = quantity::lowered(name);
    if (words.find("discharge") != std::string::npos) {
        return odds > 0.5 ? 0.5 : 0.002;
    }
    if (words.find("charge") != std::string::npos || words.find("charging") != std::string::npos) {
        return odds < 0.5 ? 0.5 : 0.998;
    }
    return odds;
}

} // namespace anodex::formats
