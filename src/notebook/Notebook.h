// src/notebook/Notebook.h - one notebook file: everything a builder writes down, with undo and redo.
//
// Errors     NotebookError; library exceptions are caught here and go no further. A failed change leaves the
//            file as it was.
// Threads    one Notebook per thread; all writes go through one.
// Durability every change is on disk before the call returns, in the file its name leads to: when that was
//            moved, replaced or deleted meanwhile, the change is refused with Moved.
#pragma once
#include "core/record/Record.h"
#include "notebook/Change.h"
#include "notebook/FileIdentity.h"
#include "notebook/History.h"
#include "notebook/NotebookError.h"
#include "notebook/RoleLock.h"
#include "notebook/RunStore.h"
#include "notebook/RunWindow.h"
#include <functional>
#include <memory>
#include <stop_token>
#include <string>
#include <tl/expected.hpp>
#include <vector>

namespace SQLite {
class Database;
}

namespace anodex::notebook {

enum class OpenMode { Create, Write, Read };

template <typename T> using Answer = tl::expected<T, NotebookError>;

struct Counts {
    std::int64_t projects = 0;
    std::int64_t revisions = 0;
    std::int64_t builds = 0;
    std::int64_t readings = 0;
    std::int64_t events = 0;
    std::int64_t runs = 0;
    std::int64_t samples = 0;
    bool operator==(const Counts&) const = default;
};

/// A new random id (UUID version 4).
[[nodiscard]] record::Id newId();

class Notebook {
public:
    /// `owner` tells others who holds the file. Create fails on an existing file that is no notebook.
    [[nodiscard]] static Answer<Notebook> open(const std::string& path, OpenMode mode,
                                               const std::string& owner = {});
    Notebook(Notebook&&) noexcept;
    Notebook& operator=(Notebook&&) noexcept;
    ~Notebook();

    [[nodiscard]] const std::string& path() const { return m_path; }
    [[nodiscard]] bool readOnly() const { return !m_lock.has_value(); }
    /// False on a disk where readers wait for writers: network, FAT.
    [[nodiscard]] bool sharesWell() const { return m_sharesWell; }
    /// The backup that bringing an older file up to date left beside it; empty when it was up to date.
    [[nodiscard]] const std::string& migrationBackup() const { return m_migrationBackup; }
    /// Moved when the name no longer leads to the open file.
    [[nodiscard]] Answer<void> stillThere() const;

    [[nodiscard]] Answer<std::vector<record::Project>> projects() const;
    [[nodiscard]] Answer<std::vector<record::Revision>> revisions() const;
    [[nodiscard]] Answer<std::vector<record::Build>> builds() const;
    [[nodiscard]] Answer<std::vector<record::Reading>> readings(const record::Id& build) const;
    [[nodiscard]] Answer<std::vector<record::Event>> events(const record::Id& build) const;
    [[nodiscard]] Answer<std::vector<record::RunHeader>> runs(const record::Id& build) const;
    /// Set aside or not, in the order they were written.
    [[nodiscard]] Answer<std::vector<record::Document>> documents() const;
    [[nodiscard]] Answer<record::RunSamples> samples(const record::Id& run) const;
    [[nodiscard]] Answer<std::vector<record::Channel>> channels(const record::Id& run) const;
    /// A part at a time, in order; memory stays flat however long the run.
    [[nodiscard]] Answer<void> eachPart(const record::Id& run, const TakePart& take) const;
    /// First and last second.
    [[nodiscard]] Answer<std::pair<double, double>> span(const record::Id& run) const;
    /// What a picture of `buckets` pixels shows of a channel from one moment to another.
    [[nodiscard]] Answer<std::vector<Bucket>> window(const record::Id& run, const std::string& channel,
                                                     double fromSeconds, double toSeconds,
                                                     std::size_t buckets) const;
    [[nodiscard]] Answer<Counts> counts() const;
    /// A number that is another one once another connection, such as a recorder's, has changed the file.
    [[nodiscard]] Answer<std::int64_t> changesOfOthers() const;

    /// One command: all changes or none, undone as one, called `said`.
    [[nodiscard]] Answer<void> commit(const base::Said& said, record::Millis now,
                                      const std::vector<Change>& changes);
    /// Stores a run with its samples, in pieces that keep nobody waiting; only the last, which brings it in,
    /// is a command. Undoing sets the run aside; its samples stay. Stopped or failed, nothing of it is left.
    [[nodiscard]] Answer<void> importRun(const base::Said& said, record::Millis now,
                                         const record::RunHeader& run, const record::RunSamples& samples,
                                         const std::function<void(double)>& progress = {},
                                         const std::stop_token& stop = {});
    /// The same, piece by piece, for who has other things to do between them: each stores what fits into 20 ms
    /// from sample `from` on and gives the sample to go on from. A piece that failed leaves nothing of the run.
    [[nodiscard]] Answer<std::size_t> importPiece(const record::RunHeader& run,
                                                  const record::RunSamples& samples, std::size_t from);
    /// After the last piece: the run comes in, as a command. It, as it is now.
    [[nodiscard]] Answer<record::RunHeader> finishImport(const base::Said& said, record::Millis now,
                                                         const record::RunHeader& run,
                                                         const record::RunSamples& samples);
    [[nodiscard]] Answer<void> dropImport(const record::Id& run);
    [[nodiscard]] Answer<Step> undo();
    [[nodiscard]] Answer<Step> redo();
    [[nodiscard]] Answer<std::vector<HistoryEntry>> history() const;
    [[nodiscard]] Answer<StepsLeft> stepsLeft() const;

    /// Remembered outside the history: where the window stood, how a logger's file is read.
    [[nodiscard]] Answer<void> remember(const std::string& key, const std::string& value);
    [[nodiscard]] Answer<std::string> remembered(const std::string& key) const;
    [[nodiscard]] Answer<void> rememberMapping(const std::string& signature, const std::string& mapping);
    [[nodiscard]] Answer<std::string> rememberedMapping(const std::string& signature) const;

    /// After this the main file alone is the whole notebook; false while a reader still needs the log.
    [[nodiscard]] Answer<bool> fold();
    /// The notebook as it is open, even when its name is gone; never over another file.
    [[nodiscard]] Answer<void> copyTo(const std::string& path) const;

    /// Faults found in the file; empty when sound. Reads everything: not for the interface thread.
    [[nodiscard]] Answer<std::vector<base::Said>> check(const std::stop_token& stop = {}) const;
    /// Everything as text in a fixed order: equal texts mean equal notebooks.
    [[nodiscard]] Answer<std::string> dump() const;

private:
    Notebook() = default;
    static Notebook openReading(const std::string& path);
    static Notebook openWriting(const std::string& path, OpenMode mode, const std::string& owner);
    void migrate();
    void removeUnfinished();
    void requirePlace() const;
    void requireLog();
    template <typename Work> auto changing(const Work& work) -> Answer<std::invoke_result_t<Work>>;

    std::string m_path;
    std::optional<RoleLock> m_lock; ///< None when opened for reading. Let go after the connection.
    std::unique_ptr<SQLite::Database> m_database;
    std::optional<FileIdentity> m_identity;
    std::optional<FileIdentity> m_log; ///< Where changes stand until they are folded in.
    std::string m_migrationBackup;
    bool m_sharesWell = true;
};

} // namespace anodex::notebook
