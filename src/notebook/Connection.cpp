#include "notebook/Connection.h"

#include "notebook/FileIdentity.h"
#include "notebook/NotebookError.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <algorithm>
#include <csignal>
#include <filesystem>
#include <fmt/format.h>
#include <iterator>
#include <sqlite3.h>
#include <sys/resource.h>

namespace anodex::notebook {
namespace {

constexpr int kWaitMilliseconds = 2000;
constexpr const char* kEndings[] = {"", "-wal", "-journal"};

std::string unchangingUri(const std::string& path) {
    std::string escaped;
    for (const char c : path) {
        const bool plain = c != '%' && c != '?' && c != '#';
        escaped += plain ? std::string(1, c) : fmt::format("%{:02X}", static_cast<unsigned char>(c));
    }
    return "file:" + escaped + "?immutable=1";
}

void setUp(SQLite::Database& database) {
    // A trigger or view in the file is not ours: it must not run when we write.
    sqlite3_db_config(database.getHandle(), SQLITE_DBCONFIG_ENABLE_TRIGGER, 0, nullptr);
    sqlite3_db_config(database.getHandle(), SQLITE_DBCONFIG_TRUSTED_SCHEMA, 0, nullptr);
}

bool isSharedMemoryTrouble(const SQLite::Exception& exception) {
    switch (exception.getExtendedErrorCode()) {
    case SQLITE_IOERR_SHMOPEN:
    case SQLITE_IOERR_SHMSIZE:
    case SQLITE_IOERR_SHMLOCK:
    case SQLITE_IOERR_SHMMAP:
    case SQLITE_IOERR_LOCK:
    case SQLITE_PROTOCOL:
        return true;
    default:
        return false;
    }
}

/// True when the log works here: it was begun and a write lock taken through it.
bool beginLog(SQLite::Database& database) {
    try {
        if (database.execAndGet("PRAGMA journal_mode = WAL").getString() != "wal") {
            return false;
        }
        database.exec("BEGIN IMMEDIATE");
        database.exec("ROLLBACK");
        return true;
    } catch (const SQLite::Exception& exception) {
        if (isSharedMemoryTrouble(exception)) {
            return false;
        }
        throw;
    }
}

/// A log that a crash left behind is still read: alone, the library keeps its index in its own memory.
void doWithoutLog(SQLite::Database& database) {
    database.exec("PRAGMA locking_mode = EXCLUSIVE");
    if (database.execAndGet("PRAGMA journal_mode = DELETE").getString() != "delete") {
        throw NotebookError{NotebookError::Code::LockedElsewhere, "notebook.by-a-reader"};
    }
    database.exec("PRAGMA locking_mode = NORMAL");
    (void)database.execAndGet("SELECT count(*) FROM sqlite_schema"); // only now are the locks let go
}

std::unique_ptr<SQLite::Database> connect(const std::string& name, int flags) {
    // Counting memory takes one lock for all connections, and threads that read runs would stand in line for it.
    static const int uncounted = sqlite3_config(SQLITE_CONFIG_MEMSTATUS, 0);
    (void)uncounted; // refused only where somebody used the library before us, which then counts on
    auto database = std::make_unique<SQLite::Database>(name, flags, kWaitMilliseconds);
    setUp(*database);
    return database;
}

bool stands(const std::string& path) {
    std::error_code ignored;
    return std::filesystem::exists(path, ignored);
}

} // namespace

WritingConnection openForWriting(const std::string& path, bool create) {
    // A limit on the size of files is an error to be told, not a reason to die.
    std::signal(SIGXFSZ, SIG_IGN);
    const int flags = SQLite::OPEN_READWRITE | (create ? SQLite::OPEN_CREATE : 0);
    WritingConnection connection{connect(path, flags), true};
    connection.shared = hasSharedMemory(path) && beginLog(*connection.database);
    if (!connection.shared) {
        connection.database.reset();
        connection.database = connect(path, flags);
        doWithoutLog(*connection.database);
    }
    connection.database->exec("PRAGMA synchronous = FULL");
    connection.database->exec("PRAGMA foreign_keys = ON");
    return connection;
}

std::unique_ptr<SQLite::Database> openForReading(const std::string& path) {
    try {
        // Able to write where the disk lets it: only so can it take back what a crash left half done, and
        // clear away what it put beside the file. What is asked of it never writes.
        auto database = connect(path, SQLite::OPEN_READWRITE);
        try {
            (void)database->execAndGet("PRAGMA application_id");
        } catch (const SQLite::Exception& exception) {
            if (!isSharedMemoryTrouble(exception)) {
                throw;
            }
            database.reset();
            database = connect(path, SQLite::OPEN_READWRITE);
            doWithoutLog(*database);
        }
        database->exec("PRAGMA query_only = 1");
        return database;
    } catch (const SQLite::Exception& exception) {
        const int code = exception.getErrorCode();
        if ((code != SQLITE_CANTOPEN && code != SQLITE_READONLY) || stands(path + "-wal")) {
            throw;
        }
    }
    return connect(unchangingUri(path), SQLite::OPEN_READONLY | SQLite::OPEN_URI);
}

bool hitSizeLimit(const std::string& path) {
    rlimit limit{};
    if (::getrlimit(RLIMIT_FSIZE, &limit) != 0 || limit.rlim_cur == RLIM_INFINITY) {
        return false;
    }
    constexpr std::uintmax_t kWrite = 70'000; // a page with its head, of the largest size there is
    return std::any_of(std::begin(kEndings), std::end(kEndings), [&](const char* ending) {
        std::error_code absent;
        const std::uintmax_t size = std::filesystem::file_size(path + ending, absent);
        return !absent && size + kWrite > limit.rlim_cur;
    });
}

bool foldLog(SQLite::Database& database) {
    SQLite::Statement fold(database, "PRAGMA wal_checkpoint(TRUNCATE)");
    return fold.executeStep() && fold.getColumn(0).getInt() == 0;
}

void putToRest(SQLite::Database& database) {
    // A failure loses nothing: the log stays beside the file and is found at the next opening.
    database.setBusyTimeout(0);
    database.tryExec("PRAGMA wal_checkpoint(TRUNCATE)");
    database.tryExec("PRAGMA journal_mode = DELETE");
}

} // namespace anodex::notebook
