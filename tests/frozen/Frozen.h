// tests/frozen/Frozen.h - what `evaluate` answered when it was last looked at, kept so that nothing moves
// unseen.
//
// Files      tests/data/frozen/{starters,homemade,random}.jsonl: a line a cell, {"name", "cell", "answer"};
//            versions.json: for every version of the model the fingerprint of the starters' answers.
// Tolerance  numbers agree within 1e-6 of their size; words agree exactly.
#pragma once
#include "formats/JsonObject.h"
#include <filesystem>
#include <string>
#include <vector>

namespace anodex::frozen {

using formats::Json;

struct Case {
    std::string name;
    Json cell;
    Json answer;
};

inline constexpr const char* kGroups[] = {"starters", "homemade", "random"};

[[nodiscard]] std::filesystem::path folder();
[[nodiscard]] std::vector<Case> readGroup(const std::string& group);
void writeGroup(const std::string& group, const std::vector<Case>& cases);

/// `evaluate --json --samples 0` of a cell file, with every twentieth point of its curve, numbers at ten
/// figures.
[[nodiscard]] Json answerOf(const Json& cell);

/// The first place where two answers differ, such as "curve[3].voltage_V: 1.02 is 1.03"; empty when none
/// does.
[[nodiscard]] std::string differenceOf(const Json& before, const Json& now, const std::string& where = {});

/// Of the numbers of all answers, at six figures, as versions.json keeps it for record::kModelVersion.
[[nodiscard]] std::string fingerprintOf(const std::vector<Case>& starters);
[[nodiscard]] Json readVersions();
void writeVersions(const Json& versions);

} // namespace anodex::frozen
