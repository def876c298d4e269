// src/notebook/RunWriter.h - a run that is being recorded, over a connection of its own beside the editor's.
//
// What one call appends stands on the disk before it returns; a killed program loses what it had not appended
// yet. The newest samples are small rows, folded into whole chunks as they fill. A run that was begun stays a
// run whatever happens to the writer: it ends where the last append ended.
//
// Errors     NotebookError; a failed append leaves the run as it was.
// Threads    one writer serves one thread.
#pragma once
#include "core/record/Record.h"
#include "notebook/NotebookError.h"
#include "notebook/RoleLock.h"
#include "notebook/RunStore.h"
#include <memory>
#include <string>
#include <tl/expected.hpp>

namespace anodex::notebook {

class RunWriter {
public:
    /// Begins a run of the notebook at `path`. `channels` are those beside the time, one at least, each with a
    /// name of its own; what is appended is multiplied by their factors. LockedElsewhere while another program
    /// records.
    [[nodiscard]] static tl::expected<RunWriter, NotebookError>
    begin(const std::string& path, const record::RunHeader& run, const std::vector<record::Channel>& channels,
          const std::string& owner);
    RunWriter(RunWriter&&) noexcept;
    RunWriter& operator=(RunWriter&&) noexcept;
    ~RunWriter();

    /// `seconds` have to rise, also over the last append; as many values of each channel. All finite.
    [[nodiscard]] tl::expected<void, NotebookError> append(std::span<const double> seconds,
                                                           const Columns& values);
    /// Folds what is left. The run is complete without it, too.
    [[nodiscard]] tl::expected<void, NotebookError> finish();

    [[nodiscard]] const record::RunHeader& run() const { return m_run; }

private:
    RunWriter(RoleLock lock, std::unique_ptr<SQLite::Database> database, record::RunHeader run,
              std::vector<record::Channel> channels);
    void require(std::span<const double> seconds, const Columns& values) const;
    void take(std::span<const double> seconds, const Columns& values);
    void store(std::size_t appended);
    void putLength();
    void fold(std::size_t samples);
    [[nodiscard]] Columns waiting(std::size_t from, std::size_t count) const;

    RoleLock m_lock; ///< Let go after the connection.
    std::unique_ptr<SQLite::Database> m_database;
    record::RunHeader m_run;
    std::vector<record::Channel> m_channels;    ///< The time first.
    std::vector<std::vector<double>> m_waiting; ///< By channel: not yet in a chunk.
    std::int64_t m_chunks = 0;
    double m_firstSecond = 0.0;
    double m_lastSecond = 0.0;
};

} // namespace anodex::notebook
