#include "notebook/RunStore.h"

#include "notebook/Rows.h"
#include "notebook/Seals.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <algorithm>
#include <bit>
#include <cstring>
#include <fmt/format.h>
#include <optional>
#include <span>

namespace anodex::notebook {
namespace {

static_assert(std::endian::native == std::endian::little, "chunks are stored little-endian");

void putColumn(SQLite::Database& database, const record::Id& run, std::int64_t chunk, RunColumn column,
               std::span<const double> values) {
    const auto [low, high] = std::minmax_element(values.begin(), values.end());
    {
        SQLite::Statement insert(
            database,
            "INSERT INTO run_chunk (run, chunk, column_name, samples, first, last, low, high, data) "
            "VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)");
        insert.bind(1, run);
        insert.bind(2, chunk);
        insert.bind(3, static_cast<int>(column));
        insert.bind(4, static_cast<int>(values.size()));
        insert.bind(5, values.front());
        insert.bind(6, values.back());
        insert.bind(7, *low);
        insert.bind(8, *high);
        insert.bindNoCopy(9, values.data(), static_cast<int>(values.size_bytes()));
        insert.exec();
    }
    sealRow(database, "run_chunk", fmt::format("{}/{}/{}", run, chunk, static_cast<int>(column)));
}

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

[[noreturn]] void refuse(const Header& header, const std::string& what) {
    throw RowFault{fmt::format("the run \"{}\" cannot be used: {}", header.name, what)};
}

/// Where the next row of run_chunk has to stand, and how long it has to be.
class Expected {
public:
    explicit Expected(Header header) : m_header(std::move(header)) {}

    void check(std::int64_t chunk, std::int64_t column, std::int64_t samples, std::int64_t bytes) {
        const std::int64_t left = m_header.samples - m_chunk * static_cast<std::int64_t>(kChunkSamples);
        const std::int64_t wanted = std::min(left, static_cast<std::int64_t>(kChunkSamples));
        if (chunk != m_chunk || column != m_column || wanted <= 0) {
            refuse(m_header, fmt::format("part {} of it is missing or has a foreign column", m_chunk + 1));
        }
        if (samples != wanted || bytes != wanted * static_cast<std::int64_t>(sizeof(double))) {
            refuse(m_header, fmt::format("part {} of it is too short or too long", m_chunk + 1));
        }
        m_column = (m_column + 1) % kRunColumns;
        m_chunk += m_column == 0 ? 1 : 0;
    }
    void finish() const {
        const std::int64_t held = m_chunk * static_cast<std::int64_t>(kChunkSamples);
        if (m_column != 0 || held < m_header.samples) {
            refuse(m_header, fmt::format("it ends after {} of {} readings", std::min(held, m_header.samples),
                                         m_header.samples));
        }
    }

private:
    Header m_header;
    std::int64_t m_chunk = 0;
    std::int64_t m_column = 0;
};

} // namespace

std::size_t putChunk(SQLite::Database& database, const record::Id& run, const record::RunSamples& samples,
                     std::size_t from) {
    const std::size_t count = std::min(kChunkSamples, samples.size() - from);
    const auto chunk = static_cast<std::int64_t>(from / kChunkSamples);
    putColumn(database, run, chunk, RunColumn::Seconds, std::span(samples.seconds).subspan(from, count));
    putColumn(database, run, chunk, RunColumn::Volts, std::span(samples.volts).subspan(from, count));
    putColumn(database, run, chunk, RunColumn::Amps, std::span(samples.amps).subspan(from, count));
    return count;
}

bool dropChunks(SQLite::Database& database, const record::Id& run, int most) {
    std::vector<std::string> rows;
    {
        SQLite::Statement query(
            database,
            "SELECT run || '/' || chunk || '/' || column_name FROM run_chunk WHERE run = ? LIMIT ?");
        query.bind(1, run);
        query.bind(2, most * kRunColumns);
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

record::RunSamples samplesOf(SQLite::Database& database, const record::Id& run) {
    record::RunSamples samples;
    const auto header = headerOf(database, run);
    if (!header) {
        return samples;
    }
    std::vector<double>* const columns[kRunColumns] = {&samples.seconds, &samples.volts, &samples.amps};
    Expected expected(*header);
    SQLite::Statement query(database, "SELECT chunk, column_name, samples, data FROM run_chunk WHERE run = ? "
                                      "ORDER BY chunk, column_name");
    query.bind(1, run);
    while (query.executeStep()) {
        const SQLite::Column blob = query.getColumn(3);
        const std::int64_t column = query.getColumn(1).getInt64();
        expected.check(query.getColumn(0).getInt64(), column, query.getColumn(2).getInt64(), blob.getBytes());
        std::vector<double>& target = *columns[column];
        const std::size_t before = target.size();
        const auto count = static_cast<std::size_t>(blob.getBytes()) / sizeof(double);
        target.resize(before + count);
        std::memcpy(target.data() + before, blob.getBlob(), count * sizeof(double));
    }
    expected.finish();
    return samples;
}

std::vector<run::CurveSample> outlineOf(SQLite::Database& database, const record::Id& run, RunColumn column) {
    std::vector<run::CurveSample> outline;
    const auto header = headerOf(database, run);
    if (!header) {
        return outline;
    }
    Expected expected(*header);
    // The length of a value is known from the row's head; its bytes are not read.
    SQLite::Statement query(database,
                            "SELECT chunk, column_name, samples, length(data), first, last, low, high "
                            "FROM run_chunk WHERE run = ? ORDER BY chunk, column_name");
    query.bind(1, run);
    double from = 0.0;
    double to = 0.0;
    while (query.executeStep()) {
        const std::int64_t at = query.getColumn(1).getInt64();
        expected.check(query.getColumn(0).getInt64(), at, query.getColumn(2).getInt64(),
                       query.getColumn(3).getInt64());
        if (at == static_cast<int>(RunColumn::Seconds)) {
            from = query.getColumn(4).getDouble();
            to = query.getColumn(5).getDouble();
        }
        if (at == static_cast<int>(column)) {
            outline.push_back({from, query.getColumn(7).getDouble()});
            outline.push_back({to, query.getColumn(6).getDouble()});
        }
    }
    expected.finish();
    return outline;
}

} // namespace anodex::notebook
