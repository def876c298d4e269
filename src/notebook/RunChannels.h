// src/notebook/RunChannels.h - what the columns of a run are: names, units, and how each was turned.
//
// Column 0 is the time in seconds. A run of an older file has time, voltage and current.
#pragma once
#include "core/record/Record.h"
#include <vector>

namespace SQLite {
class Database;
}

namespace anodex::notebook {

/// Time, voltage and current in SI units.
[[nodiscard]] const std::vector<record::Channel>& usualChannels();

[[nodiscard]] std::vector<record::Channel> channelsOf(SQLite::Database& database, const record::Id& run);

/// Where the channel stands among the run's columns; none where it has no such channel.
[[nodiscard]] std::optional<std::size_t> positionOf(const std::vector<record::Channel>& channels,
                                                    const std::string& name);

void putChannels(SQLite::Database& database, const record::Id& run,
                 const std::vector<record::Channel>& channels);

void dropChannels(SQLite::Database& database, const record::Id& run);

} // namespace anodex::notebook
