#include "tests/support/LossyStorage.h"

#include "tests/support/Samples.h"

#include <algorithm>
#include <cstring>
#include <new>
#include <sqlite3.h>

namespace anodex::test {
namespace {

LossyStorage* g_storage = nullptr;
sqlite3_vfs* g_base = nullptr;

/// What the library gets for a file; the real one stands behind it.
struct LayerFile {
    sqlite3_file base{};
    std::string* path = nullptr; ///< Null for what no cut needs to know: temporary files.
    sqlite3_file* real() { return reinterpret_cast<sqlite3_file*>(this + 1); }
};

LayerFile* layer(sqlite3_file* file) {
    return reinterpret_cast<LayerFile*>(file);
}
sqlite3_file* real(sqlite3_file* file) {
    return layer(file)->real();
}

int closeFile(sqlite3_file* file) {
    delete layer(file)->path;
    layer(file)->path = nullptr;
    return real(file)->pMethods != nullptr ? real(file)->pMethods->xClose(real(file)) : SQLITE_OK;
}
int readFile(sqlite3_file* file, void* into, int count, sqlite3_int64 at) {
    return real(file)->pMethods->xRead(real(file), into, count, at);
}
int writeFile(sqlite3_file* file, const void* bytes, int count, sqlite3_int64 at) {
    const int code = real(file)->pMethods->xWrite(real(file), bytes, count, at);
    if (code == SQLITE_OK && layer(file)->path != nullptr && g_storage != nullptr) {
        g_storage->write(*layer(file)->path, static_cast<std::uint64_t>(at), bytes,
                         static_cast<std::size_t>(count));
    }
    return code;
}
int truncateFile(sqlite3_file* file, sqlite3_int64 size) {
    const int code = real(file)->pMethods->xTruncate(real(file), size);
    if (code == SQLITE_OK && layer(file)->path != nullptr && g_storage != nullptr) {
        g_storage->truncate(*layer(file)->path, static_cast<std::uint64_t>(size));
    }
    return code;
}
int syncFile(sqlite3_file* file, int flags) {
    const int code = real(file)->pMethods->xSync(real(file), flags);
    if (code == SQLITE_OK && layer(file)->path != nullptr && g_storage != nullptr) {
        g_storage->sync(*layer(file)->path);
    }
    return code;
}
int sizeOfFile(sqlite3_file* file, sqlite3_int64* size) {
    return real(file)->pMethods->xFileSize(real(file), size);
}
int lockFile(sqlite3_file* file, int level) {
    return real(file)->pMethods->xLock(real(file), level);
}
int unlockFile(sqlite3_file* file, int level) {
    return real(file)->pMethods->xUnlock(real(file), level);
}
int isReserved(sqlite3_file* file, int* result) {
    return real(file)->pMethods->xCheckReservedLock(real(file), result);
}
int controlFile(sqlite3_file* file, int operation, void* argument) {
    return real(file)->pMethods->xFileControl(real(file), operation, argument);
}
int sectorSize(sqlite3_file* /*file*/) {
    return 512;
}
int deviceTraits(sqlite3_file* /*file*/) {
    return 0; // promises nothing: no atomic writes, no order
}
int mapShared(sqlite3_file* file, int region, int size, int extend, void volatile** memory) {
    if (g_storage != nullptr && !g_storage->sharedMemory()) {
        return SQLITE_IOERR_SHMMAP;
    }
    return real(file)->pMethods->xShmMap(real(file), region, size, extend, memory);
}
int lockShared(sqlite3_file* file, int offset, int count, int flags) {
    return real(file)->pMethods->xShmLock(real(file), offset, count, flags);
}
void barrier(sqlite3_file* file) {
    real(file)->pMethods->xShmBarrier(real(file));
}
int unmapShared(sqlite3_file* file, int remove) {
    return real(file)->pMethods->xShmUnmap(real(file), remove);
}

constexpr sqlite3_io_methods kMethods = {2,           closeFile,   readFile,     writeFile,  truncateFile,
                                         syncFile,    sizeOfFile,  lockFile,     unlockFile, isReserved,
                                         controlFile, sectorSize,  deviceTraits, mapShared,  lockShared,
                                         barrier,     unmapShared, nullptr,      nullptr};

int openFile(sqlite3_vfs* /*vfs*/, const char* name, sqlite3_file* file, int flags, int* outFlags) {
    auto* made = new (file) LayerFile;
    const int code = g_base->xOpen(g_base, name, made->real(), flags, outFlags);
    if (code == SQLITE_OK) {
        made->base.pMethods = &kMethods;
        constexpr int kKept = SQLITE_OPEN_MAIN_DB | SQLITE_OPEN_WAL | SQLITE_OPEN_MAIN_JOURNAL;
        made->path = name != nullptr && (flags & kKept) != 0 ? new std::string(name) : nullptr;
    }
    return code;
}

int removeFile(sqlite3_vfs* /*vfs*/, const char* name, int syncFolder) {
    const int code = g_base->xDelete(g_base, name, syncFolder);
    if (g_storage != nullptr) {
        g_storage->remove(name);
    }
    return code;
}

sqlite3_vfs& layerVfs() {
    static sqlite3_vfs vfs = [] {
        g_base = sqlite3_vfs_find(nullptr);
        sqlite3_vfs made = *g_base;
        made.szOsFile = static_cast<int>(sizeof(LayerFile)) + g_base->szOsFile;
        made.zName = "lossy";
        made.xOpen = openFile;
        made.xDelete = removeFile;
        return made;
    }();
    return vfs;
}

std::uint64_t next(std::uint64_t& state) {
    state = state * 6364136223846793005ULL + 1442695040888963407ULL;
    return state >> 33U;
}

} // namespace

LossyStorage::LossyStorage(Options options) : m_options(options), m_random(options.seed * 2654435761U + 1) {
    sqlite3_initialize();
    sqlite3_vfs_register(&layerVfs(), 1);
    g_storage = this;
}

LossyStorage::~LossyStorage() {
    g_storage = nullptr;
    sqlite3_vfs_register(g_base, 1);
    sqlite3_vfs_unregister(&layerVfs());
}

void LossyStorage::apply(std::string& content, const Change& change, std::size_t bytes) {
    if (change.truncates) {
        content.resize(change.at);
        return;
    }
    content.resize(std::max(content.size(), static_cast<std::size_t>(change.at) + bytes));
    content.replace(change.at, bytes, change.bytes, 0, bytes);
}

void LossyStorage::counted() {
    ++m_operations;
    if (afterOperation != nullptr) {
        afterOperation(*this, context);
    }
}

void LossyStorage::write(const std::string& path, std::uint64_t at, const void* bytes, std::size_t count) {
    m_files[path].pending.push_back({at, std::string(static_cast<const char*>(bytes), count), false});
    counted();
}

void LossyStorage::truncate(const std::string& path, std::uint64_t size) {
    m_files[path].pending.push_back({size, {}, true});
    counted();
}

void LossyStorage::sync(const std::string& path) {
    File& file = m_files[path];
    for (const Change& change : file.pending) {
        apply(file.durable, change, change.bytes.size());
    }
    file.pending.clear();
    counted();
}

void LossyStorage::remove(const std::string& path) {
    m_files.erase(path);
}

void LossyStorage::writeImage(const std::filesystem::path& folder) {
    constexpr std::size_t kSector = 512;
    for (const auto& [path, file] : m_files) {
        std::string content = file.durable;
        for (const Change& change : file.pending) {
            const std::uint64_t chance = next(m_random) % 4;
            if (chance == 0) {
                apply(content, change, change.bytes.size());
            } else if (chance == 1 && change.bytes.size() > kSector) {
                apply(content, change, kSector * (1 + next(m_random) % (change.bytes.size() / kSector)));
            }
        }
        writeText(folder / std::filesystem::path(path).filename(), content);
    }
}

} // namespace anodex::test
