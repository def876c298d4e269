// src/core/base/Random.h - random numbers addressed by (seed, sample, input).
//
// A number depends on its address alone, so a Monte Carlo result is the same for any number of threads and
// any order of work. Mixing: SplitMix64 (Steele, Lea & Flood, OOPSLA 2014).
#pragma once
#include <cstdint>

namespace anodex::base {

/// Uniform in the open interval (0, 1).
[[nodiscard]] double uniformAt(std::uint64_t seed, std::uint64_t sample, std::uint64_t input);

/// Standard normal (mean 0, deviation 1).
[[nodiscard]] double normalAt(std::uint64_t seed, std::uint64_t sample, std::uint64_t input);

/// A stable 64-bit address for a name (FNV-1a), so that adding an input does not shift the others' numbers.
[[nodiscard]] std::uint64_t addressOf(const char* text, std::uint64_t start = 14695981039346656037ULL);

} // namespace anodex::base
