// tests/frozen/Freeze.cpp - writes tests/data/frozen anew. Run it when answers are meant to move, and say why
// in the commit.
//
// A version whose fingerprint is on record keeps it: the program stops until the version is raised.
#include "core/record/Expect.h"
#include "formats/EmbeddedData.h"
#include "tests/frozen/Frozen.h"
#include "tests/fuzz/RandomDesign.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <cstdio>

namespace {

using namespace anodex;
using frozen::Case;
using frozen::Json;

constexpr std::uint64_t kRandomCells = 200;
constexpr std::uint64_t kSeed = 20;

std::vector<Case> starters() {
    std::vector<Case> cases;
    for (const formats::EmbeddedFile& file : formats::embeddedFiles()) {
        if (file.name.starts_with("starters/")) {
            cases.push_back({std::string(file.name), Json::parse(file.content), {}});
        }
    }
    return cases;
}

std::vector<Case> homemade() {
    std::vector<Case> cases;
    for (const auto& entry :
         std::filesystem::directory_iterator(test::sourceDir() / "tests/data/cells/homemade")) {
        if (entry.path().string().ends_with(".cell.json")) {
            cases.push_back(
                {entry.path().filename().string(), Json::parse(test::readText(entry.path())), {}});
        }
    }
    std::sort(cases.begin(), cases.end(), [](const Case& a, const Case& b) { return a.name < b.name; });
    return cases;
}

/// Those on record, so that a growing catalogue does not draw others.
std::vector<Case> randomDesigns() {
    std::vector<Case> cases = frozen::readGroup("random");
    fuzz::Coverage coverage;
    for (std::uint64_t number = cases.size(); number < kRandomCells; ++number) {
        fuzz::RandomDesign design(test::catalogue(), kSeed, number);
        cases.push_back({"random " + std::to_string(number), design.cell(coverage), {}});
    }
    return cases;
}

} // namespace

int main() {
    const std::pair<const char*, std::vector<Case>> groups[] = {
        {"starters", starters()}, {"homemade", homemade()}, {"random", randomDesigns()}};
    for (auto [name, cases] : groups) {
        for (Case& one : cases) {
            one.answer = frozen::answerOf(one.cell);
        }
        frozen::writeGroup(name, cases);
        std::printf("%s: %zu\n", name, cases.size());
    }
    Json versions = frozen::readVersions();
    const std::string name = record::kModelVersion;
    const std::string fingerprint = frozen::fingerprintOf(frozen::readGroup("starters"));
    if (versions.contains(name) && versions[name] != fingerprint) {
        std::fprintf(stderr,
                     "the starters answer otherwise than version %s of the model did: raise kModelVersion\n",
                     name.c_str());
        return 1;
    }
    versions[name] = fingerprint;
    frozen::writeVersions(versions);
    return 0;
}
