#include "notebook/RunStore.h"

#include "notebook/Rows.h"
#include "notebook/RunChannels.h"
#include "notebook/RunLevels.h"
#include "notebook/Seals.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <SQLiteCpp/VariadicBind.h>
#include <algorithm>
#include <bit>
#include <cstring>
#include <fmt/format.h>
#include <limits>
#include <optional>

namespace anodex::notebook {
namespace {

static_assert(std::endian::native == std::endian::little, "chunks are stored little-endian");

constexpr auto kChunk = static_cast<std::int64_t>(kChunkSamples);

struct Header {
    std::string name;
    std::int64_t samples = 0;
};

std::optional<Header> headerOf(SQLite::Database& database, const record::Id& run) {
    SQLite::Statement query(database, "SELECT name, samples FROM run WHERE id = ?");
    query.bind(1, run);
    return query.executeStep()
               ? std::optional(Header{query.getColumn(0).getString(), query.getColumn(1).getInt64()})
               : std::nullopt;
}

base::Said partSaid(const char* id, std::int64_t number) {
    return {id, {{"number", std::to_string(number)}}};
}

[[noreturn]] void refuse(const Header& header, const base::Said& what) {
    throw RowFault{base::Said("notebook.run-unusable", {{"run", header.name}, {"what", std::vector{what}}})};
}

/// Reads the parts of one run in order and sees that each is where and as long as it has to be.
class PartReader {
public:
    PartReader(SQLite::Database& database, const record::Id& run, Header header)
        : m_database(database), m_run(run), m_header(std::move(header)),
          m_columns(channelsOf(database, run).size()), m_values(m_columns) {}

    void chunks(std::int64_t from, std::int64_t to, const TakePart& take) {
        SQLite::Statement query(m_database,
                                "SELECT chunk, column_name, samples, data FROM run_chunk WHERE run = ?1 AND "
                                "chunk >= ?2 AND chunk < ?3 ORDER BY chunk, column_name");
        SQLite::bind(query, m_run, from, to);
        std::int64_t chunk = from;
        std::size_t column = 0;
        while (query.executeStep()) {
            const bool foreign = query.getColumn(0).getInt64() != chunk ||
                                 query.getColumn(1).getInt64() != static_cast<std::int64_t>(column);
            if (foreign) {
                refuse(m_header, partSaid("notebook.part-missing", chunk + 1));
            }
            takeBlob(query.getColumn(3), query.getColumn(2).getInt64(), chunk + 1, m_values[column]);
            if (++column == m_columns) {
                finish(chunk * kChunk, chunk + 1, take);
                column = 0;
                ++chunk;
            }
        }
        if (column != 0) {
            refuse(m_header, partSaid("notebook.part-missing", chunk + 1));
        }
    }

    void tail(const TakePart& take) {
        if (!m_database.tableExists("run_tail")) {
            return;
        }
        SQLite::Statement query(m_database,
                                "SELECT sample, samples, data FROM run_tail WHERE run = ? ORDER BY sample");
        query.bind(1, m_run);
        std::vector<double> all;
        while (query.executeStep()) {
            const std::int64_t count = query.getColumn(1).getInt64();
            takeBlob(query.getColumn(2), count * static_cast<std::int64_t>(m_columns), 0, all);
            for (std::size_t i = 0; i < m_columns; ++i) {
                const auto begin = all.begin() + static_cast<std::ptrdiff_t>(i) * count;
                m_values[i].assign(begin, begin + count);
            }
            finish(query.getColumn(0).getInt64(), 0, take);
        }
    }

    [[nodiscard]] std::int64_t held() const { return m_held; }

private:
    void takeBlob(const SQLite::Column& blob, std::int64_t values, std::int64_t part,
                  std::vector<double>& into) const {
        if (values < 0 || blob.getBytes() != values * static_cast<std::int64_t>(sizeof(double))) {
            refuse(m_header,
                   part > 0 ? partSaid("notebook.part-length", part) : base::Said("notebook.end-length"));
        }
        into.resize(static_cast<std::size_t>(values));
        std::memcpy(into.data(), blob.getBlob(), into.size() * sizeof(double));
    }

    void finish(std::int64_t first, std::int64_t part, const TakePart& take) {
        const auto count = static_cast<std::int64_t>(m_values.front().size());
        const bool even = std::all_of(m_values.begin(), m_values.end(), [&](const auto& values) {
            return values.size() == m_values.front().size();
        });
        const bool whole = part == 0 || count == std::min(kChunk, m_header.samples - first);
        if (!even || count <= 0 || !whole || first + count > m_header.samples) {
            refuse(m_header,
                   part > 0 ? partSaid("notebook.part-length", part) : base::Said("notebook.end-length"));
        }
        if (m_held >= 0 && first != m_held) {
            refuse(m_header, partSaid("notebook.readings-missing", m_held + 1));
        }
        m_held = first + count;
        take(Columns(m_values.begin(), m_values.end()));
    }

    SQLite::Database& m_database;
    const record::Id& m_run;
    Header m_header;
    std::size_t m_columns;
    std::vector<std::vector<double>> m_values;
    std::int64_t m_held = -1; ///< The sample after the last one read; -1 before the first.
};

} // namespace

void putChunk(SQLite::Database& database, const record::Id& run, std::int64_t chunk, const Columns& columns) {
    for (std::size_t i = 0; i < columns.size(); ++i) {
        const std::span<const double> values = columns[i];
        const auto column = static_cast<int>(i);
        const auto [low, high] = std::minmax_element(values.begin(), values.end());
        const Stretch stretch{static_cast<std::int64_t>(values.size()), values.front(), values.back(), *low,
                              *high};
        {
            SQLite::Statement insert(
                database,
                "INSERT INTO run_chunk (run, chunk, column_name, samples, first, last, low, high, data) "
                "VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)");
            SQLite::bind(insert, run, chunk, column, stretch.samples, stretch.first, stretch.last,
                         stretch.low, stretch.high);
            insert.bindNoCopy(9, values.data(), static_cast<int>(values.size_bytes()));
            insert.exec();
        }
        sealRow(database, "run_chunk", fmt::format("{}/{}/{}", run, chunk, column));
        putLevels(database, run, chunk, column, stretch);
    }
}

std::size_t putChunk(SQLite::Database& database, const record::Id& run, const record::RunSamples& samples,
                     std::size_t from) {
    const std::size_t count = std::min(kChunkSamples, samples.size() - from);
    putChunk(database, run, static_cast<std::int64_t>(from / kChunkSamples),
             {std::span(samples.seconds).subspan(from, count), std::span(samples.volts).subspan(from, count),
              std::span(samples.amps).subspan(from, count)});
    return count;
}

void putTail(SQLite::Database& database, const record::Id& run, std::int64_t from, const Columns& columns) {
    std::vector<double> all;
    for (const std::span<const double> values : columns) {
        all.insert(all.end(), values.begin(), values.end());
    }
    SQLite::Statement insert(database, "INSERT INTO run_tail VALUES (?, ?, ?, ?)");
    SQLite::bind(insert, run, from, static_cast<std::int64_t>(columns.front().size()));
    insert.bindNoCopy(4, all.data(), static_cast<int>(all.size() * sizeof(double)));
    insert.exec();
    sealRow(database, "run_tail", fmt::format("{}/{}", run, from));
}

void dropTail(SQLite::Database& database, const record::Id& run) {
    std::vector<std::string> rows;
    {
        SQLite::Statement query(database, "SELECT run || '/' || sample FROM run_tail WHERE run = ?");
        query.bind(1, run);
        while (query.executeStep()) {
            rows.push_back(query.getColumn(0).getString());
        }
        SQLite::Statement remove(database, "DELETE FROM run_tail WHERE run = ?");
        remove.bind(1, run);
        remove.exec();
    }
    for (const std::string& row : rows) {
        sealRow(database, "run_tail", row);
    }
}

bool dropChunks(SQLite::Database& database, const record::Id& run, int most) {
    std::vector<std::string> rows;
    {
        SQLite::Statement query(
            database,
            "SELECT run || '/' || chunk || '/' || column_name FROM run_chunk WHERE run = ? LIMIT ?");
        query.bind(1, run);
        query.bind(2, most * static_cast<int>(channelsOf(database, run).size()));
        while (query.executeStep()) {
            rows.push_back(query.getColumn(0).getString());
        }
    }
    for (const std::string& row : rows) {
        SQLite::Statement remove(
            database,
            "DELETE FROM run_chunk WHERE run = ? AND run || '/' || chunk || '/' || column_name = ?");
        remove.bind(1, run);
        remove.bind(2, row);
        remove.exec();
        sealRow(database, "run_chunk", row);
    }
    return !rows.empty();
}

void eachPart(SQLite::Database& database, const record::Id& run, const TakePart& take) {
    if (const auto header = headerOf(database, run)) {
        PartReader reader(database, run, *header);
        reader.chunks(0, std::numeric_limits<std::int64_t>::max(), take);
        reader.tail(take);
        const std::int64_t held = std::max<std::int64_t>(reader.held(), 0);
        if (held < header->samples) {
            refuse(*header, base::Said("notebook.ends-after", {{"held", std::to_string(held)},
                                                               {"of", std::to_string(header->samples)}}));
        }
    }
}

void eachChunk(SQLite::Database& database, const record::Id& run, std::int64_t from, std::int64_t to,
               const TakePart& take) {
    if (const auto header = headerOf(database, run)) {
        PartReader(database, run, *header).chunks(from, to, take);
    }
}

void eachTailRow(SQLite::Database& database, const record::Id& run, const TakePart& take) {
    if (const auto header = headerOf(database, run)) {
        PartReader(database, run, *header).tail(take);
    }
}

record::RunSamples samplesOf(SQLite::Database& database, const record::Id& run) {
    const std::vector<record::Channel> channels = channelsOf(database, run);
    record::RunSamples samples;
    const std::pair<const char*, std::vector<double>*> wanted[] = {{record::kTimeChannel, &samples.seconds},
                                                                   {record::kVoltageChannel, &samples.volts},
                                                                   {record::kCurrentChannel, &samples.amps}};
    eachPart(database, run, [&](const Columns& columns) {
        for (const auto& [name, values] : wanted) {
            if (const auto position = positionOf(channels, name)) {
                values->insert(values->end(), columns[*position].begin(), columns[*position].end());
            } else {
                values->resize(values->size() + columns.front().size(), 0.0);
            }
        }
    });
    return samples;
}

} // namespace anodex::notebook
