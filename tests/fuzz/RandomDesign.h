// tests/fuzz/RandomDesign.h - cell files nobody would write by hand: valid ones, and valid ones with one
// fault.
//
// Everything follows from (seed, number), so any case can be made again alone.
#pragma once
#include "core/chemistry/Catalogue.h"
#include "formats/JsonObject.h"
#include <cstdint>
#include <map>
#include <random>
#include <string>

namespace anodex::fuzz {

/// How often each catalogue id was used, by kind.
using Coverage = std::map<std::string, std::map<std::string, int>>;

class RandomDesign {
public:
    RandomDesign(const chemistry::Catalogue& catalogue, std::uint64_t seed, std::uint64_t number);

    /// A valid cell file.
    [[nodiscard]] formats::Json cell(Coverage& coverage);

    struct Mutation {
        formats::Json cell;
        std::string key; ///< That has to stand in the complaint.
    };
    /// The same cell with one thing wrong.
    [[nodiscard]] Mutation mutated(formats::Json cell);

private:
    void use(formats::Json& json);
    double uniform(double low, double high);
    double logUniform(double low, double high);
    std::size_t index(std::size_t size);
    bool chance(double share);
    formats::Json electrode(Coverage& coverage);
    formats::Json liquid(Coverage& coverage);
    formats::Json solute(Coverage& coverage, double waterGrams, double& percentsLeft);
    formats::Json separator(Coverage& coverage);
    template <typename Entry>
    const Entry& pick(const std::vector<Entry>& entries, const char* kind, Coverage& coverage);

    const chemistry::Catalogue& m_catalogue;
    std::mt19937_64 m_engine;
};

} // namespace anodex::fuzz
