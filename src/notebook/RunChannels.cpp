#include "notebook/RunChannels.h"

#include "notebook/Seals.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <SQLiteCpp/VariadicBind.h>
#include <algorithm>
#include <fmt/format.h>

namespace anodex::notebook {

const std::vector<record::Channel>& usualChannels() {
    static const std::vector<record::Channel> kUsual = {{record::kTimeChannel, "s", 1.0},
                                                        {record::kVoltageChannel, "V", 1.0},
                                                        {record::kCurrentChannel, "A", 1.0}};
    return kUsual;
}

std::vector<record::Channel> channelsOf(SQLite::Database& database, const record::Id& run) {
    std::vector<record::Channel> channels;
    if (database.tableExists("channel")) {
        SQLite::Statement query(database,
                                "SELECT name, unit, factor FROM channel WHERE run = ? ORDER BY number");
        query.bind(1, run);
        while (query.executeStep()) {
            channels.push_back({query.getColumn(0).getString(), query.getColumn(1).getString(),
                                query.getColumn(2).getDouble()});
        }
    }
    return channels.empty() ? usualChannels() : channels;
}

std::optional<std::size_t> positionOf(const std::vector<record::Channel>& channels, const std::string& name) {
    const auto found = std::find_if(channels.begin(), channels.end(),
                                    [&](const record::Channel& channel) { return channel.name == name; });
    return found == channels.end() ? std::nullopt
                                   : std::optional(static_cast<std::size_t>(found - channels.begin()));
}

void putChannels(SQLite::Database& database, const record::Id& run,
                 const std::vector<record::Channel>& channels) {
    for (std::size_t i = 0; i < channels.size(); ++i) {
        SQLite::Statement put(database, "INSERT INTO channel VALUES (?, ?, ?, ?, ?)");
        SQLite::bind(put, run, static_cast<int>(i), channels[i].name, channels[i].unit, channels[i].factor);
        put.exec();
        sealRow(database, "channel", fmt::format("{}/{}", run, i));
    }
}

void dropChannels(SQLite::Database& database, const record::Id& run) {
    const std::size_t count = channelsOf(database, run).size();
    SQLite::Statement remove(database, "DELETE FROM channel WHERE run = ?");
    remove.bind(1, run);
    remove.exec();
    for (std::size_t i = 0; i < count; ++i) {
        sealRow(database, "channel", fmt::format("{}/{}", run, i));
    }
}

} // namespace anodex::notebook
