#include "notebook/Notebook.h"

#include "notebook/Check.h"
#include "notebook/Connection.h"
#include "notebook/CopyInto.h"
#include "notebook/FreshName.h"
#include "notebook/Guard.h"
#include "notebook/Rows.h"
#include "notebook/RunChannels.h"
#include "notebook/RunPieces.h"
#include "notebook/Schema.h"
#include "notebook/Seals.h"

#include <SQLiteCpp/VariadicBind.h>
#include <boost/uuid/random_generator.hpp>
#include <boost/uuid/uuid_io.hpp>
#include <chrono>
#include <filesystem>
#include <fmt/format.h>
#include <thread>

namespace anodex::notebook {
namespace {

using Code = NotebookError::Code;

std::int64_t single(SQLite::Database& database, const char* sql) {
    return database.execAndGet(sql).getInt64();
}

constexpr auto kPause = std::chrono::milliseconds(10);

Step asItIsNow(SQLite::Database& database, Taken taken) {
    Step step{std::move(taken.said), {}, {}};
    for (const auto& [table, row] : taken.rows) {
        if (auto now = rowOf(database, table, row)) {
            step.now.push_back(std::move(*now));
        } else {
            step.gone.push_back(row);
        }
    }
    return step;
}

/// As it stands in the file while its samples are being written.
record::RunHeader unfinished(record::RunHeader run, const record::RunSamples& samples) {
    run.samples = static_cast<std::int64_t>(samples.size());
    run.durationSeconds = samples.size() > 0 ? samples.seconds.back() - samples.seconds.front() : 0.0;
    run.setAside = true;
    return run;
}

bool holdsSomething(const std::string& path) {
    return std::filesystem::exists(path) && std::filesystem::file_size(path) > 0;
}

} // namespace

record::Id newId() {
    return boost::uuids::to_string(boost::uuids::random_generator()());
}

Notebook::Notebook(Notebook&&) noexcept = default;

Notebook& Notebook::operator=(Notebook&& other) noexcept {
    if (this != &other) {
        Notebook closed(std::move(*this));
        m_path = std::move(other.m_path);
        m_lock = std::move(other.m_lock);
        m_database = std::move(other.m_database);
        m_identity = other.m_identity;
        m_log = other.m_log;
        m_migrationBackup = std::move(other.m_migrationBackup);
        m_sharesWell = other.m_sharesWell;
    }
    return *this;
}

Notebook::~Notebook() {
    if (m_database && !readOnly()) {
        putToRest(*m_database);
    }
    m_database.reset();
}

Answer<Notebook> Notebook::open(const std::string& path, OpenMode mode, const std::string& owner) {
    return guarded([&] {
        if (!holdsSomething(path) && mode != OpenMode::Create) {
            throw NotebookError{Code::CannotOpen,
                                std::filesystem::exists(path) ? "notebook.empty-file" : "notebook.no-file"};
        }
        return mode == OpenMode::Read ? openReading(path) : openWriting(path, mode, owner);
    });
}

Notebook Notebook::openReading(const std::string& path) {
    Notebook book;
    book.m_path = path;
    book.m_database = openForReading(path);
    verify(*book.m_database);
    book.m_identity = identityOf(path);
    return book;
}

Notebook Notebook::openWriting(const std::string& path, OpenMode mode, const std::string& owner) {
    Notebook book;
    book.m_path = path;
    const std::string file = withoutLinks(path);
    auto lock = RoleLock::take(file, Role::Editor, owner);
    if (!lock) {
        throw lock.error();
    }
    book.m_lock = std::move(*lock);
    const bool fresh = !holdsSomething(file);
    if (!fresh) {
        if (auto held = book.m_lock->holdInode(file, owner); !held) {
            throw held.error();
        }
        verify(*openForReading(file)); // before the log is begun in what may be another program's file
    }
    auto [database, shared] = openForWriting(file, mode == OpenMode::Create);
    book.m_database = std::move(database);
    book.m_sharesWell = shared;
    if (fresh) {
        createSchema(*book.m_database);
        if (auto held = book.m_lock->holdInode(file, owner); !held) {
            throw held.error();
        }
    }
    book.m_identity = identityOf(path);
    book.m_log = identityOf(file + "-wal");
    book.migrate();
    book.removeUnfinished();
    return book;
}

void Notebook::migrate() {
    const int version = versionOf(*m_database);
    if (version == kSchemaVersion) {
        return;
    }
    if (auto alone = m_lock->holdAlone(); !alone) {
        throw alone.error();
    }
    // Once for the backup, once for the log the steps fill.
    const auto size = std::filesystem::file_size(m_path);
    if (freeBytes(m_path) < 3 * size) {
        throw NotebookError{Code::NoRoom, m_path};
    }
    const std::string backup = freshNameBeside(m_path, fmt::format("version {}", version));
    copyInto(*m_database, backup);
    bringUpToDate(*m_database);
    m_migrationBackup = backup;
}

void Notebook::removeUnfinished() {
    std::vector<std::string> runs;
    {
        SQLite::Statement query(*m_database, "SELECT run FROM unfinished");
        while (query.executeStep()) {
            runs.push_back(query.getColumn(0).getString());
        }
    }
    if (runs.empty() || !RoleLock::take(withoutLinks(m_path), Role::Recorder, {})) {
        return; // a recorder at work writes one of them
    }
    for (const std::string& run : runs) {
        discardRun(*m_database, run);
    }
}

Answer<void> Notebook::stillThere() const {
    if (identityOf(m_path) != m_identity) {
        return tl::unexpected(NotebookError{Code::Moved, m_path});
    }
    return {};
}

void Notebook::requirePlace() const {
    if (const auto there = stillThere(); !there) {
        throw there.error();
    }
}

void Notebook::requireLog() {
    const bool logIsOurs = !m_sharesWell || (m_log && identityOf(withoutLinks(m_path) + "-wal") == m_log);
    if (!logIsOurs && !foldLog(*m_database)) {
        throw NotebookError{Code::Moved, m_path + "-wal"};
    }
}

/// A change is acknowledged only when it stands in the file its name leads to, and nothing of it in a log
/// that is gone.
template <typename Work> auto Notebook::changing(const Work& work) -> Answer<std::invoke_result_t<Work>> {
    if (readOnly()) {
        return tl::unexpected(NotebookError{Code::ReadOnly, m_path});
    }
    return guarded([&] {
        requirePlace();
        try {
            if constexpr (std::is_void_v<std::invoke_result_t<Work>>) {
                work();
                requirePlace();
                requireLog();
            } else {
                auto result = work();
                requirePlace();
                requireLog();
                return result;
            }
        } catch (const SQLite::Exception& exception) {
            if (exception.getErrorCode() == SQLITE_IOERR && hitSizeLimit(withoutLinks(m_path))) {
                throw NotebookError{Code::DiskFull, m_path, exception.getExtendedErrorCode()};
            }
            throw;
        }
    });
}

Answer<std::vector<record::Project>> Notebook::projects() const {
    return guarded([&] { return projectRows(*m_database); });
}
Answer<std::vector<record::Revision>> Notebook::revisions() const {
    return guarded([&] { return revisionRows(*m_database); });
}
Answer<std::vector<record::Build>> Notebook::builds() const {
    return guarded([&] { return buildRows(*m_database); });
}
Answer<std::vector<record::Reading>> Notebook::readings(const record::Id& build) const {
    return guarded([&] { return readingRows(*m_database, build); });
}
Answer<std::vector<record::Event>> Notebook::events(const record::Id& build) const {
    return guarded([&] { return eventRows(*m_database, build); });
}
Answer<std::vector<record::RunHeader>> Notebook::runs(const record::Id& build) const {
    return guarded([&] { return runRows(*m_database, build); });
}
Answer<std::vector<record::Document>> Notebook::documents() const {
    return guarded([&] { return documentRows(*m_database); });
}
Answer<record::RunSamples> Notebook::samples(const record::Id& run) const {
    return guarded([&] { return samplesOf(*m_database, run); });
}
Answer<std::vector<record::Channel>> Notebook::channels(const record::Id& run) const {
    return guarded([&] { return channelsOf(*m_database, run); });
}
Answer<void> Notebook::eachPart(const record::Id& run, const TakePart& take) const {
    return guarded([&] { notebook::eachPart(*m_database, run, take); });
}
Answer<std::pair<double, double>> Notebook::span(const record::Id& run) const {
    return guarded([&] { return spanOf(*m_database, run); });
}
Answer<std::vector<Bucket>> Notebook::window(const record::Id& run, const std::string& channel,
                                             double fromSeconds, double toSeconds,
                                             std::size_t buckets) const {
    return guarded([&] { return windowOf(*m_database, run, channel, fromSeconds, toSeconds, buckets); });
}

Answer<Counts> Notebook::counts() const {
    return guarded([&] {
        SQLite::Database& database = *m_database;
        return Counts{single(database, "SELECT count(*) FROM project"),
                      single(database, "SELECT count(*) FROM revision"),
                      single(database, "SELECT count(*) FROM build"),
                      single(database, "SELECT count(*) FROM reading"),
                      single(database, "SELECT count(*) FROM event"),
                      single(database, "SELECT count(*) FROM run"),
                      single(database, "SELECT coalesce(sum(samples), 0) FROM run")};
    });
}

Answer<std::int64_t> Notebook::changesOfOthers() const {
    return guarded([&] { return single(*m_database, "PRAGMA data_version"); });
}

Answer<void> Notebook::commit(const base::Said& said, record::Millis now,
                              const std::vector<Change>& changes) {
    return changing([&] {
        recordCommand(*m_database, said, now, {}, [&] {
            for (const Change& change : changes) {
                std::visit([&](const auto& row) { putRow(*m_database, row); }, change);
            }
        });
    });
}

Answer<std::size_t> Notebook::importPiece(const record::RunHeader& run, const record::RunSamples& samples,
                                          std::size_t from) {
    auto stored = changing([&] { return storePiece(*m_database, unfinished(run, samples), samples, from); });
    if (!stored) {
        // The disk that had no room for the run may have none for this either: it is done at the next
        // opening.
        (void)dropImport(run.id);
    }
    return stored;
}

Answer<record::RunHeader> Notebook::finishImport(const base::Said& said, record::Millis now,
                                                 const record::RunHeader& run,
                                                 const record::RunSamples& samples) {
    record::RunHeader whole = unfinished(run, samples);
    whole.setAside = false;
    // What is recorded is only that it comes in.
    const auto done = changing([&] {
        recordCommand(
            *m_database, said, now, [&] { finishRun(*m_database, run.id); },
            [&] { putRow(*m_database, whole); });
    });
    return done ? Answer<record::RunHeader>(whole) : tl::unexpected(done.error());
}

Answer<void> Notebook::dropImport(const record::Id& run) {
    return guarded([&] { discardRun(*m_database, run); });
}

Answer<void> Notebook::importRun(const base::Said& said, record::Millis now, const record::RunHeader& run,
                                 const record::RunSamples& samples,
                                 const std::function<void(double)>& progress, const std::stop_token& stop) {
    for (std::size_t from = 0;;) {
        const auto began = std::chrono::steady_clock::now();
        const auto stored = importPiece(run, samples, from);
        if (!stored) {
            return tl::unexpected(stored.error());
        }
        from = *stored;
        if (progress) {
            progress(static_cast<double>(from) /
                     static_cast<double>(std::max<std::size_t>(samples.size(), 1)));
        }
        if (stop.stop_requested()) {
            const auto dropped = dropImport(run.id);
            return tl::unexpected(dropped ? NotebookError{Code::Stopped, {}} : dropped.error());
        }
        if (from >= samples.size()) {
            break;
        }
        // Who waits tries again now and then: without a pause as long as the piece it might never find the
        // moment between two of them.
        std::this_thread::sleep_for(
            std::max<std::chrono::steady_clock::duration>(kPause, std::chrono::steady_clock::now() - began));
    }
    const auto finished = finishImport(said, now, run, samples);
    return finished ? Answer<void>() : tl::unexpected(finished.error());
}

Answer<Step> Notebook::undo() {
    return changing([&] { return asItIsNow(*m_database, undoLast(*m_database)); });
}
Answer<Step> Notebook::redo() {
    return changing([&] { return asItIsNow(*m_database, redoNext(*m_database)); });
}
Answer<std::vector<HistoryEntry>> Notebook::history() const {
    return guarded([&] { return historyEntries(*m_database); });
}
Answer<StepsLeft> Notebook::stepsLeft() const {
    return guarded([&] { return notebook::stepsLeft(*m_database); });
}

namespace {

void putPair(SQLite::Database& database, const std::string& table, const std::string& key,
             const std::string& value) {
    SQLite::Transaction transaction(database);
    SQLite::Statement put(database, "INSERT OR REPLACE INTO " + table + " VALUES (?, ?)");
    SQLite::bind(put, key, value);
    put.exec();
    sealRow(database, table, key);
    transaction.commit();
}

std::string getPair(SQLite::Database& database, const char* sql, const std::string& key) {
    SQLite::Statement query(database, sql);
    query.bind(1, key);
    return query.executeStep() ? query.getColumn(0).getString() : std::string();
}

} // namespace

Answer<void> Notebook::remember(const std::string& key, const std::string& value) {
    if (readOnly()) {
        return {};
    }
    return guarded([&] { putPair(*m_database, "view_state", key, value); });
}
Answer<std::string> Notebook::remembered(const std::string& key) const {
    return guarded([&] { return getPair(*m_database, "SELECT value FROM view_state WHERE key = ?", key); });
}
Answer<void> Notebook::rememberMapping(const std::string& signature, const std::string& mapping) {
    if (readOnly()) {
        return {};
    }
    return guarded([&] { putPair(*m_database, "import_mapping", signature, mapping); });
}
Answer<std::string> Notebook::rememberedMapping(const std::string& signature) const {
    return guarded([&] {
        return getPair(*m_database, "SELECT mapping FROM import_mapping WHERE signature = ?", signature);
    });
}

Answer<bool> Notebook::fold() {
    return guarded([&] { return readOnly() || !m_sharesWell || foldLog(*m_database); });
}
Answer<void> Notebook::copyTo(const std::string& path) const {
    return guarded([&] { copyInto(*m_database, path); });
}
Answer<std::vector<base::Said>> Notebook::check(const std::stop_token& stop) const {
    return guarded([&] { return faultsIn(*m_database, stop); });
}
Answer<std::string> Notebook::dump() const {
    return guarded([&] { return dumpOf(*m_database); });
}

} // namespace anodex::notebook
