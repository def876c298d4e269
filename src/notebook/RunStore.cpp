#include "notebook/RunStore.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <algorithm>
#include <bit>
#include <cstring>
#include <map>
#include <span>

namespace anodex::notebook {
namespace {

static_assert(std::endian::native == std::endian::little, "chunks are stored little-endian");

void putChunk(SQLite::Statement& insert, const record::Id& run, std::int64_t chunk, RunColumn column,
              std::span<const double> values) {
    const auto [low, high] = std::minmax_element(values.begin(), values.end());
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
    insert.reset();
    insert.clearBindings();
}

} // namespace

bool putSamples(SQLite::Database& database, const record::Id& run, const record::RunSamples& samples,
                const std::function<void(double)>& progress, const std::stop_token& stop) {
    SQLite::Statement insert(
        database, "INSERT INTO run_chunk (run, chunk, column_name, samples, first, last, low, high, data) "
                  "VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)");
    const std::pair<RunColumn, const std::vector<double>*> columns[] = {
        {RunColumn::Seconds, &samples.seconds},
        {RunColumn::Volts, &samples.volts},
        {RunColumn::Amps, &samples.amps}};
    for (std::size_t from = 0, chunk = 0; from < samples.size(); from += kChunkSamples, ++chunk) {
        if (stop.stop_requested()) {
            return false;
        }
        const std::size_t count = std::min(kChunkSamples, samples.size() - from);
        for (const auto& [column, values] : columns) {
            putChunk(insert, run, static_cast<std::int64_t>(chunk), column,
                     std::span(*values).subspan(from, count));
        }
        if (progress) {
            progress(static_cast<double>(from + count) / static_cast<double>(samples.size()));
        }
    }
    return true;
}

record::RunSamples samplesOf(SQLite::Database& database, const record::Id& run) {
    record::RunSamples samples;
    SQLite::Statement query(
        database, "SELECT column_name, data FROM run_chunk WHERE run = ? ORDER BY chunk, column_name");
    query.bind(1, run);
    while (query.executeStep()) {
        std::vector<double>* target = &samples.seconds;
        if (query.getColumn(0).getInt() == static_cast<int>(RunColumn::Volts)) {
            target = &samples.volts;
        } else if (query.getColumn(0).getInt() == static_cast<int>(RunColumn::Amps)) {
            target = &samples.amps;
        }
        const SQLite::Column blob = query.getColumn(1);
        const std::size_t count = static_cast<std::size_t>(blob.getBytes()) / sizeof(double);
        const std::size_t before = target->size();
        target->resize(before + count);
        if (count > 0) {
            std::memcpy(target->data() + before, blob.getBlob(), count * sizeof(double));
        }
    }
    return samples;
}

std::vector<bench::CurveSample> outlineOf(SQLite::Database& database, const record::Id& run,
                                          RunColumn column) {
    std::vector<bench::CurveSample> outline;
    SQLite::Statement query(database,
                            "SELECT t.first, t.last, v.low, v.high FROM run_chunk t JOIN run_chunk v "
                            "ON v.run = t.run AND v.chunk = t.chunk AND v.column_name = ? "
                            "WHERE t.run = ? AND t.column_name = 0 ORDER BY t.chunk");
    query.bind(1, static_cast<int>(column));
    query.bind(2, run);
    while (query.executeStep()) {
        outline.push_back({query.getColumn(0).getDouble(), query.getColumn(3).getDouble()});
        outline.push_back({query.getColumn(1).getDouble(), query.getColumn(2).getDouble()});
    }
    return outline;
}

} // namespace anodex::notebook
