// src/core/base/Random.h - random numbers addressed by (seed, sample, input).
//
// A number depends on its address alone, so a Monte Carlo result is the same for any number of threads and
// any order of work.
//
// Source     Philox4x32-10 of the Random123 library (Salmon, Moraes, Dror & Shaw, SC'11 (2011)); strata after
//            McKay, Beckman & Conover, Technometrics 21, 239 (1979).
#pragma once
#include <cstdint>
#include <string_view>

namespace anodex::base {

/// Uniform in the open interval (0, 1).
[[nodiscard]] double uniformAt(std::uint64_t seed, std::uint64_t sample, std::uint64_t input);

/// The same, so spread that of `samples` samples one falls into each of as many equal parts of (0, 1): far
/// fewer are needed for a quantile. Valid: sample < samples <= 2^32.
[[nodiscard]] double stratifiedAt(std::uint64_t seed, std::uint64_t sample, std::uint64_t samples,
                                  std::uint64_t input);

/// Standard normal (mean 0, deviation 1) at a uniform share of (0, 1).
[[nodiscard]] double normalOf(double share);
/// At an address.
[[nodiscard]] double normalAt(std::uint64_t seed, std::uint64_t sample, std::uint64_t input);

/// A stable 64-bit address for a name and a number (FNV-1a), so that adding an input does not shift the
/// others' numbers.
[[nodiscard]] std::uint64_t addressOf(std::string_view text, std::uint64_t number = 0);

} // namespace anodex::base
