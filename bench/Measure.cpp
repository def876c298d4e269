#include "bench/Measure.h"

#include "formats/CellFile.h"
#include "formats/EmbeddedData.h"

#include <algorithm>
#include <cstdio>

namespace anodex::bench {

double millisecondsSince(Clock::time_point start) {
    return std::chrono::duration<double, std::milli>(Clock::now() - start).count();
}

bool& anythingMissed() {
    static bool missed = false;
    return missed;
}

void report(const char* what, std::vector<double> times, double target) {
    std::sort(times.begin(), times.end());
    const auto at = [&](double share) {
        return times[static_cast<std::size_t>(share * static_cast<double>(times.size() - 1))];
    };
    anythingMissed() = anythingMissed() || at(0.95) > target;
    std::printf("%-40s n %4zu   median %7.2f ms   p95 %7.2f ms   worst %7.2f ms   target %6.1f ms %s\n", what,
                times.size(), at(0.5), at(0.95), times.back(), target, at(0.95) <= target ? "met" : "MISSED");
}

std::vector<design::CellDesign> starters() {
    std::vector<design::CellDesign> designs;
    for (const formats::EmbeddedFile& file : formats::embeddedFiles()) {
        if (file.name.starts_with("starters/")) {
            designs.push_back(*formats::readCellFile(file.content));
        }
    }
    return designs;
}

} // namespace anodex::bench
