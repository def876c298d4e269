// tests/fuzz/DamagedNotebook.h - notebooks hurt in every way a disk, a program or a person hurts them.
//
// Everything follows from (seed, number), so any case can be made again alone.
#pragma once
#include <cstdint>
#include <filesystem>
#include <string>

namespace anodex::fuzz {

/// A notebook with lines, builds, readings, events, documents, runs and a history that was partly undone.
void writeSoundNotebook(const std::filesystem::path& path, std::uint64_t seed);

struct Damage {
    std::string what; ///< "bytes", "page", "cut", or the statement.
    bool logical = false;
};

/// Copies `sound` to `path` and hurts the copy.
Damage writeDamaged(const std::filesystem::path& sound, const std::filesystem::path& path, std::uint64_t seed,
                    std::uint64_t number);

/// What a builder would see of it: the dump and every run's samples. Words of a refusal where it cannot be
/// read.
struct Seen {
    bool readable = false;
    std::string content;
    std::string refusal;
};
[[nodiscard]] Seen seenIn(const std::filesystem::path& path);

/// What the check says, or the refusal to open; empty when it finds the file sound.
[[nodiscard]] std::string foundIn(const std::filesystem::path& path);

/// Empty when all is well; else what is wrong: a difference that was not found, or not placed.
[[nodiscard]] std::string verdictOn(const std::filesystem::path& path, const Damage& damage,
                                    const Seen& sound);

} // namespace anodex::fuzz
