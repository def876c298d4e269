#include "notebook/RunWriter.h"

#include "notebook/Connection.h"
#include "notebook/FileIdentity.h"
#include "notebook/Guard.h"
#include "notebook/RunChannels.h"
#include "notebook/Schema.h"
#include "notebook/Seals.h"

#include <SQLiteCpp/VariadicBind.h>
#include <algorithm>
#include <cmath>
#include <set>

namespace anodex::notebook {
namespace {

using Code = NotebookError::Code;

constexpr auto kChunk = static_cast<std::int64_t>(kChunkSamples);

void requireChannels(const std::vector<record::Channel>& channels) {
    std::set<std::string> names{record::kTimeChannel};
    for (const record::Channel& channel : channels) {
        const bool sound = !channel.name.empty() && std::isfinite(channel.factor) && channel.factor != 0.0;
        if (!sound || !names.insert(channel.name).second) {
            throw NotebookError{Code::Failed, base::Said("notebook.channel-name", {{"name", channel.name}})};
        }
    }
    if (channels.empty()) {
        throw NotebookError{Code::Failed, "notebook.no-channel"};
    }
}

void requireCurrent(SQLite::Database& database, const std::string& path) {
    verify(database);
    if (versionOf(database) < kSchemaVersion) {
        throw NotebookError{Code::ReadOnly, base::Said("notebook.open-once", {{"path", path}})};
    }
}

} // namespace

tl::expected<RunWriter, NotebookError> RunWriter::begin(const std::string& path, const record::RunHeader& run,
                                                        const std::vector<record::Channel>& channels,
                                                        const std::string& owner) {
    return guarded([&] {
        requireChannels(channels);
        const std::string file = withoutLinks(path);
        if (!identityOf(file)) {
            throw NotebookError{Code::NotFound, path};
        }
        auto lock = RoleLock::take(file, Role::Recorder, owner);
        if (!lock) {
            throw lock.error();
        }
        if (auto held = lock->holdInode(file, owner); !held) {
            throw held.error();
        }
        requireCurrent(*openForReading(file), path);
        auto database = openForWriting(file, false).database;
        std::vector<record::Channel> all{usualChannels().front()};
        all.insert(all.end(), channels.begin(), channels.end());
        record::RunHeader begun = run;
        begun.samples = 0;
        begun.durationSeconds = 0.0;
        SQLite::Transaction transaction(*database);
        putRow(*database, begun);
        sealRow(*database, "run", begun.id);
        putChannels(*database, begun.id, all);
        transaction.commit();
        return RunWriter(std::move(*lock), std::move(database), std::move(begun), std::move(all));
    });
}

RunWriter::RunWriter(RoleLock lock, std::unique_ptr<SQLite::Database> database, record::RunHeader run,
                     std::vector<record::Channel> channels)
    : m_lock(std::move(lock)), m_database(std::move(database)), m_run(std::move(run)),
      m_channels(std::move(channels)), m_waiting(m_channels.size()) {}

RunWriter::RunWriter(RunWriter&&) noexcept = default;
RunWriter& RunWriter::operator=(RunWriter&&) noexcept = default;
RunWriter::~RunWriter() = default;

void RunWriter::require(std::span<const double> seconds, const Columns& values) const {
    const auto finite = [](std::span<const double> column) {
        return std::all_of(column.begin(), column.end(), [](double value) { return std::isfinite(value); });
    };
    const bool even = values.size() + 1 == m_channels.size() &&
                      std::all_of(values.begin(), values.end(), [&](std::span<const double> column) {
                          return column.size() == seconds.size() && finite(column);
                      });
    if (!even || !finite(seconds)) {
        throw NotebookError{Code::Failed, "notebook.uneven-channels"};
    }
    const bool rises = std::adjacent_find(seconds.begin(), seconds.end(),
                                          [](double a, double b) { return b <= a; }) == seconds.end();
    const bool later = m_run.samples == 0 || seconds.front() > m_lastSecond;
    if (!rises || !later) {
        throw NotebookError{Code::Failed, "notebook.time-must-rise"};
    }
}

void RunWriter::take(std::span<const double> seconds, const Columns& values) {
    m_waiting.front().insert(m_waiting.front().end(), seconds.begin(), seconds.end());
    for (std::size_t i = 0; i < values.size(); ++i) {
        const double factor = m_channels[i + 1].factor;
        std::transform(values[i].begin(), values[i].end(), std::back_inserter(m_waiting[i + 1]),
                       [factor](double value) { return factor * value; });
    }
}

Columns RunWriter::waiting(std::size_t from, std::size_t count) const {
    Columns columns;
    columns.reserve(m_waiting.size());
    for (const std::vector<double>& column : m_waiting) {
        columns.push_back(std::span(column).subspan(from, count));
    }
    return columns;
}

/// Puts the first `samples` of those waiting into chunks, and the rest behind them as one row.
void RunWriter::fold(std::size_t samples) {
    dropTail(*m_database, m_run.id);
    std::int64_t chunk = m_chunks;
    std::size_t from = 0;
    while (from < samples) {
        const std::size_t count = std::min(kChunkSamples, samples - from);
        putChunk(*m_database, m_run.id, chunk++, waiting(from, count));
        from += count;
    }
    if (from < m_waiting.front().size()) {
        putTail(*m_database, m_run.id, chunk * kChunk, waiting(from, m_waiting.front().size() - from));
    }
}

/// Its length alone: name and place may be changed by who edits meanwhile.
void RunWriter::putLength() {
    SQLite::Statement update(*m_database, "UPDATE run SET samples = ?, duration = ? WHERE id = ?");
    SQLite::bind(update, m_run.samples, m_run.durationSeconds, m_run.id);
    if (update.exec() != 1) {
        throw NotebookError{Code::NotFound, m_run.name};
    }
    sealRow(*m_database, "run", m_run.id);
}

void RunWriter::store(std::size_t appended) {
    const std::size_t held = m_waiting.front().size();
    const std::size_t whole = held / kChunkSamples * kChunkSamples;
    SQLite::Transaction transaction(*m_database);
    if (whole > 0) {
        fold(whole);
    } else {
        putTail(*m_database, m_run.id, m_run.samples - static_cast<std::int64_t>(appended),
                waiting(held - appended, appended));
    }
    putLength();
    transaction.commit();
    m_chunks += static_cast<std::int64_t>(whole / kChunkSamples);
    for (std::vector<double>& column : m_waiting) {
        column.erase(column.begin(), column.begin() + static_cast<std::ptrdiff_t>(whole));
    }
}

tl::expected<void, NotebookError> RunWriter::append(std::span<const double> seconds, const Columns& values) {
    if (seconds.empty()) {
        return {};
    }
    return guarded([&] {
        require(seconds, values);
        const record::RunHeader before = m_run;
        const double firstBefore = m_firstSecond;
        const double lastBefore = m_lastSecond;
        const std::size_t held = m_waiting.front().size();
        m_firstSecond = m_run.samples == 0 ? seconds.front() : m_firstSecond;
        m_run.samples += static_cast<std::int64_t>(seconds.size());
        m_lastSecond = seconds.back();
        m_run.durationSeconds = m_lastSecond - m_firstSecond;
        take(seconds, values);
        try {
            store(seconds.size());
        } catch (...) {
            m_run = before;
            m_firstSecond = firstBefore;
            m_lastSecond = lastBefore;
            for (std::vector<double>& column : m_waiting) {
                column.resize(held);
            }
            throw;
        }
    });
}

tl::expected<void, NotebookError> RunWriter::finish() {
    return guarded([&] {
        const std::size_t left = m_waiting.front().size();
        if (left == 0) {
            return;
        }
        SQLite::Transaction transaction(*m_database);
        fold(left);
        transaction.commit();
        ++m_chunks;
        for (std::vector<double>& column : m_waiting) {
            column.clear();
        }
    });
}

} // namespace anodex::notebook
