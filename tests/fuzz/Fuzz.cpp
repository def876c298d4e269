// tests/fuzz/Fuzz.cpp - random designs through reading, resolving and evaluating: what must hold for any
// cell.
//
// usage: anodex-fuzz [COUNT [SEED [ONLY]]]. Prints coverage; exits 1 when anything is broken. ONLY prints one
// design and what is wrong with it.
#include "core/base/Fault.h"
#include "core/design/Resolve.h"
#include "core/findings/Findings.h"
#include "formats/CellFile.h"
#include "formats/catalogue/CatalogueReader.h"
#include "tests/fuzz/Faults.h"
#include "tests/fuzz/RandomDesign.h"
#include "wording/ErrorText.h"
#include "wording/FindingText.h"

#include <algorithm>
#include <atomic>
#include <cmath>
#include <cstdio>
#include <iostream>
#include <mutex>
#include <thread>

namespace {

using namespace anodex;
using formats::Json;
using fuzz::faultOf;

struct Outcome {
    std::uint64_t refused = 0;
    std::uint64_t broken = 0;
    std::uint64_t misnamed = 0;
    fuzz::Coverage coverage;
    std::map<std::string, std::uint64_t> faults;
    std::vector<std::string> examples;
};

class Trial {
public:
    Trial(const chemistry::Catalogue& catalogue, std::uint64_t seed) : m_catalogue(catalogue), m_seed(seed) {}

    void one(std::uint64_t number, Outcome& outcome) const {
        fuzz::RandomDesign random(m_catalogue, m_seed, number);
        const Json json = random.cell(outcome.coverage);
        const std::string fault = faultOfValid(json, outcome);
        if (!fault.empty()) {
            note(outcome, number, fault);
            ++outcome.broken;
        }
        const auto [changed, key] = random.mutated(json);
        const std::string complaint = complaintOf(changed);
        if (complaint.find(key) == std::string::npos) {
            note(outcome, number, "mutation of " + key + ": \"" + complaint + "\"");
            ++outcome.misnamed;
        }
    }

    std::string faultOfValid(const Json& json, Outcome& outcome) const {
        const auto design = formats::readCellFile(json.dump());
        if (!design) {
            ++outcome.refused;
            ++outcome.faults["refused: " + wording::errorText(design.error())];
            return {};
        }
        try {
            const auto cell = design::resolve(m_catalogue, *design);
            if (!cell) {
                ++outcome.refused;
                ++outcome.faults["refused: " + wording::errorText(formats::toFileError(cell.error()))];
                return {};
            }
            return faultOfCell(*cell);
        } catch (const base::Fault& fault) {
            return std::string("a fault of the model: ") + fault.law();
        }
    }

private:
    [[nodiscard]] std::string faultOfCell(const design::Cell& cell) const {
        const cell::Evaluation evaluation = cell::evaluate(m_catalogue, cell, {60});
        for (const findings::Finding& finding : findings::findingsFor(m_catalogue, cell, evaluation)) {
            if (wording::findingText(finding).text.empty() || !std::isfinite(finding.value)) {
                return "a finding without words or with no number";
            }
        }
        const std::string fault = faultOf(evaluation);
        return fault.empty() && cell.charge ? faultOf(charge::chargingOf(m_catalogue, cell, evaluation))
                                            : fault;
    }

    [[nodiscard]] std::string complaintOf(const Json& json) const {
        const auto design = formats::readCellFile(json.dump());
        if (!design) {
            return design.error().field + " " + wording::errorText(design.error());
        }
        const auto cell = design::resolve(m_catalogue, *design);
        return cell ? "nothing" : wording::errorText(formats::toFileError(cell.error()));
    }

    static void note(Outcome& outcome, std::uint64_t number, const std::string& fault) {
        ++outcome.faults[fault];
        if (outcome.examples.size() < 10) {
            outcome.examples.push_back("#" + std::to_string(number) + ": " + fault);
        }
    }

    const chemistry::Catalogue& m_catalogue;
    std::uint64_t m_seed;
};

void merge(Outcome& into, const Outcome& from) {
    into.refused += from.refused;
    into.broken += from.broken;
    into.misnamed += from.misnamed;
    for (const auto& [kind, ids] : from.coverage) {
        for (const auto& [id, count] : ids) {
            into.coverage[kind][id] += count;
        }
    }
    for (const auto& [fault, count] : from.faults) {
        into.faults[fault] += count;
    }
    into.examples.insert(into.examples.end(), from.examples.begin(), from.examples.end());
}

template <typename Entry>
bool printCoverage(const char* kind, const std::vector<Entry>& entries, const fuzz::Coverage& coverage) {
    const auto found = coverage.find(kind);
    std::size_t used = 0;
    std::string unused;
    for (const Entry& entry : entries) {
        const bool seen = found != coverage.end() && found->second.contains(entry.id);
        used += seen ? 1 : 0;
        unused += seen ? "" : " " + entry.id;
    }
    std::printf("  %-12s %3zu of %3zu ids used%s%s\n", kind, used, entries.size(),
                unused.empty() ? "" : "; not:", unused.c_str());
    return unused.empty();
}

int showOne(const chemistry::Catalogue& catalogue, std::uint64_t seed, std::uint64_t number) {
    Outcome outcome;
    fuzz::RandomDesign random(catalogue, seed, number);
    const Json json = random.cell(outcome.coverage);
    std::cout << json.dump(1) << '\n' << Trial(catalogue, seed).faultOfValid(json, outcome) << '\n';
    const auto [changed, key] = random.mutated(json);
    std::cout << "mutated: " << key << '\n';
    return 0;
}

} // namespace

int main(int argc, char** argv) {
    const std::uint64_t count = argc > 1 ? std::stoull(argv[1]) : 2000;
    const std::uint64_t seed = argc > 2 ? std::stoull(argv[2]) : 1;
    const auto catalogue = formats::readCatalogue(formats::builtInCatalogueFiles());
    if (!catalogue) {
        std::cerr << wording::errorText(catalogue.error()) << '\n';
        return 3;
    }
    if (argc > 3) {
        return showOne(*catalogue, seed, std::stoull(argv[3]));
    }
    const Trial trial(*catalogue, seed);
    Outcome total;
    std::atomic<std::uint64_t> next{0};
    std::mutex guard;
    {
        std::vector<std::jthread> workers;
        for (unsigned i = 0; i < std::max(1U, std::thread::hardware_concurrency()); ++i) {
            workers.emplace_back([&] {
                Outcome mine;
                for (std::uint64_t number = next++; number < count; number = next++) {
                    trial.one(number, mine);
                }
                const std::lock_guard lock(guard);
                merge(total, mine);
            });
        }
    }
    std::printf(
        "%llu random designs, seed %llu: %llu refused, %llu broken; as many with one fault: %llu not named\n",
        static_cast<unsigned long long>(count), static_cast<unsigned long long>(seed),
        static_cast<unsigned long long>(total.refused), static_cast<unsigned long long>(total.broken),
        static_cast<unsigned long long>(total.misnamed));
    bool covered = printCoverage("materials", catalogue->materials, total.coverage);
    covered = printCoverage("collectors", catalogue->materials, total.coverage) && covered;
    covered = printCoverage("additives", catalogue->materials, total.coverage) && covered;
    covered = printCoverage("substances", catalogue->substances, total.coverage) && covered;
    covered = printCoverage("liquids", catalogue->liquids, total.coverage) && covered;
    covered = printCoverage("separators", catalogue->separators, total.coverage) && covered;
    covered = printCoverage("cases", catalogue->cases, total.coverage) && covered;
    for (const auto& [fault, times] : total.faults) {
        std::printf("  %6llu  %s\n", static_cast<unsigned long long>(times), fault.c_str());
    }
    for (const std::string& example : total.examples) {
        std::printf("  %s\n", example.c_str());
    }
    const bool good =
        total.broken == 0 && total.misnamed == 0 && total.refused * 100 <= count && (covered || count < 2000);
    return good ? 0 : 1;
}
