#include "notebook/Notebook.h"

#include "notebook/Check.h"
#include "notebook/Guard.h"
#include "notebook/Rows.h"
#include "notebook/Schema.h"

#include <SQLiteCpp/VariadicBind.h>
#include <algorithm>
#include <array>
#include <filesystem>
#include <fmt/format.h>
#include <random>

namespace anodex::notebook {
namespace {

using Code = NotebookError::Code;

std::int64_t single(SQLite::Database& database, const char* sql) {
    return database.execAndGet(sql).getInt64();
}

/// Rejects what is no notebook of ours before anything is changed in it.
void verify(SQLite::Database& database) {
    if (single(database, "PRAGMA application_id") != kApplicationId) {
        throw NotebookError{Code::NotANotebook, database.getFilename()};
    }
    if (single(database, "PRAGMA user_version") > kSchemaVersion) {
        throw NotebookError{Code::Newer, database.getFilename()};
    }
    std::string quick = database.execAndGet("PRAGMA quick_check(1)").getString();
    if (quick != "ok") {
        std::replace(quick.begin(), quick.end(), '\n', ' ');
        throw NotebookError{Code::Damaged, quick};
    }
}

std::string readOnlyUri(const std::string& path) {
    std::string escaped;
    for (const char c : path) {
        const bool plain = c != '%' && c != '?' && c != '#';
        escaped += plain ? std::string(1, c) : fmt::format("%{:02X}", static_cast<unsigned char>(c));
    }
    return "file:" + escaped + "?immutable=1";
}

} // namespace

record::Id newId() {
    std::random_device device;
    std::array<std::uint32_t, 4> words{};
    for (std::uint32_t& word : words) {
        word = device();
    }
    words[1] = (words[1] & 0xFFFF0FFFU) | 0x00004000U;
    words[2] = (words[2] & 0x3FFFFFFFU) | 0x80000000U;
    return fmt::format("{:08x}-{:04x}-{:04x}-{:04x}-{:04x}{:08x}", words[0], words[1] >> 16U,
                       words[1] & 0xFFFFU, words[2] >> 16U, words[2] & 0xFFFFU, words[3]);
}

Notebook::Notebook(std::string path, std::unique_ptr<SQLite::Database> database, std::optional<FileLock> lock)
    : m_path(std::move(path)), m_lock(std::move(lock)), m_database(std::move(database)),
      m_readOnly(!m_lock.has_value()) {}
Notebook::Notebook(Notebook&&) noexcept = default;
Notebook& Notebook::operator=(Notebook&&) noexcept = default;

Notebook::~Notebook() {
    if (m_database && !m_readOnly) {
        // One file that can be mailed: fold the log back in. A failure here loses nothing, the log stays
        // beside it.
        m_database->tryExec("PRAGMA wal_checkpoint(TRUNCATE)");
    }
}

Answer<Notebook> Notebook::open(const std::string& path, OpenMode mode, const std::string& owner) {
    try {
        return openUnguarded(path, mode, owner);
    } catch (const SQLite::Exception& exception) {
        return tl::unexpected(errorFrom(exception));
    } catch (const NotebookError& error) {
        return tl::unexpected(error);
    } catch (const std::filesystem::filesystem_error& error) {
        return tl::unexpected(NotebookError{Code::CannotOpen, error.code().message()});
    }
}

Answer<Notebook> Notebook::openUnguarded(const std::string& path, OpenMode mode, const std::string& owner) {
    const bool exists = std::filesystem::exists(path) && std::filesystem::file_size(path) > 0;
    if (!exists && mode != OpenMode::Create) {
        throw NotebookError{Code::CannotOpen,
                            std::filesystem::exists(path) ? "the file is empty" : "no such file"};
    }
    std::optional<FileLock> lock;
    if (mode != OpenMode::Read) {
        auto taken = FileLock::take(path, owner);
        if (!taken) {
            return tl::unexpected(taken.error());
        }
        lock = std::move(*taken);
    }
    int flags = SQLite::OPEN_READONLY | SQLite::OPEN_URI;
    std::string name = path;
    if (mode != OpenMode::Read) {
        flags = SQLite::OPEN_READWRITE | (mode == OpenMode::Create ? SQLite::OPEN_CREATE : 0);
    } else if (!std::filesystem::exists(path + "-wal")) {
        name = readOnlyUri(path);
    }
    auto database = std::make_unique<SQLite::Database>(name, flags, 2000);
    if (!exists) {
        database->exec("PRAGMA journal_mode = WAL");
        createSchema(*database);
    }
    verify(*database);
    if (mode != OpenMode::Read) {
        bringUpToDate(*database);
        database->exec("PRAGMA journal_mode = WAL");
        database->exec("PRAGMA synchronous = FULL");
        database->exec("PRAGMA foreign_keys = ON");
    }
    return Notebook(path, std::move(database), std::move(lock));
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
Answer<std::vector<bench::CurveSample>> Notebook::outline(const record::Id& run, RunColumn column) const {
    return guarded([&] { return outlineOf(*m_database, run, column); });
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

Answer<void> Notebook::commit(const std::string& sentence, record::Millis now,
                              const std::vector<Change>& changes) {
    if (m_readOnly) {
        return tl::unexpected(NotebookError{Code::ReadOnly, m_path});
    }
    return guarded([&] {
        recordCommand(*m_database, sentence, now, {}, [&] {
            for (const Change& change : changes) {
                std::visit([&](const auto& row) { putRow(*m_database, row); }, change);
            }
        });
    });
}

Answer<void> Notebook::importRun(const std::string& sentence, record::Millis now, record::RunHeader run,
                                 const record::RunSamples& samples,
                                 const std::function<void(double)>& progress, const std::stop_token& stop) {
    if (m_readOnly) {
        return tl::unexpected(NotebookError{Code::ReadOnly, m_path});
    }
    return guarded([&] {
        run.samples = static_cast<std::int64_t>(samples.size());
        run.durationSeconds = samples.size() > 0 ? samples.seconds.back() - samples.seconds.front() : 0.0;
        // The run arrives set aside and unrecorded; the recorded step is only bringing it in.
        const auto storeSamples = [&] {
            run.setAside = true;
            putRow(*m_database, run);
            if (!putSamples(*m_database, run.id, samples, progress, stop)) {
                throw NotebookError{Code::Failed, "the import was stopped"};
            }
        };
        recordCommand(*m_database, sentence, now, storeSamples, [&] {
            run.setAside = false;
            putRow(*m_database, run);
        });
    });
}

Answer<std::string> Notebook::undo() {
    if (m_readOnly) {
        return tl::unexpected(NotebookError{Code::ReadOnly, m_path});
    }
    return guarded([&] { return undoLast(*m_database).value_or(std::string()); });
}
Answer<std::string> Notebook::redo() {
    if (m_readOnly) {
        return tl::unexpected(NotebookError{Code::ReadOnly, m_path});
    }
    return guarded([&] { return redoNext(*m_database).value_or(std::string()); });
}
Answer<std::vector<HistoryEntry>> Notebook::history() const {
    return guarded([&] { return historyEntries(*m_database); });
}

namespace {

void putPair(SQLite::Database& database, const char* sql, const std::string& key, const std::string& value) {
    SQLite::Statement put(database, sql);
    SQLite::bind(put, key, value);
    put.exec();
}

std::string getPair(SQLite::Database& database, const char* sql, const std::string& key) {
    SQLite::Statement query(database, sql);
    query.bind(1, key);
    return query.executeStep() ? query.getColumn(0).getString() : std::string();
}

} // namespace

Answer<void> Notebook::remember(const std::string& key, const std::string& value) {
    if (m_readOnly) {
        return {};
    }
    return guarded(
        [&] { putPair(*m_database, "INSERT OR REPLACE INTO view_state VALUES (?, ?)", key, value); });
}
Answer<std::string> Notebook::remembered(const std::string& key) const {
    return guarded([&] { return getPair(*m_database, "SELECT value FROM view_state WHERE key = ?", key); });
}
Answer<void> Notebook::rememberMapping(const std::string& signature, const std::string& mapping) {
    return guarded([&] {
        putPair(*m_database, "INSERT OR REPLACE INTO import_mapping VALUES (?, ?)", signature, mapping);
    });
}
Answer<std::string> Notebook::rememberedMapping(const std::string& signature) const {
    return guarded([&] {
        return getPair(*m_database, "SELECT mapping FROM import_mapping WHERE signature = ?", signature);
    });
}

Answer<std::vector<std::string>> Notebook::check() const {
    return guarded([&] { return faultsIn(*m_database); });
}
Answer<std::string> Notebook::dump() const {
    return guarded([&] { return dumpOf(*m_database); });
}

} // namespace anodex::notebook
