// tests/support/LossyStorage.h - a storage layer that forgets what was not synced, as a power cut makes it
// do.
//
// While it lives it is the storage library's default. Everything is passed on to the real files; besides,
// each file's durable content is kept, and the writes since. At chosen moments it writes the image a cut
// would have left: what was synced, and of the rest a seeded choice, some of it torn.
#pragma once
#include <cstdint>
#include <filesystem>
#include <map>
#include <string>
#include <vector>

namespace anodex::test {

class LossyStorage {
public:
    struct Options {
        std::uint64_t seed = 1;
        bool sharedMemory = true; ///< False: mapping it fails, as on a network disk.
    };
    explicit LossyStorage(Options options);
    ~LossyStorage();
    LossyStorage(const LossyStorage&) = delete;
    LossyStorage& operator=(const LossyStorage&) = delete;

    /// Writes, truncations and syncs so far.
    [[nodiscard]] std::uint64_t operations() const { return m_operations; }
    /// The files as a cut right now would leave them, in another folder.
    void writeImage(const std::filesystem::path& folder);
    /// Called after each operation.
    void (*afterOperation)(LossyStorage&, void*) = nullptr;
    void* context = nullptr;

    // --- for the layer itself ---
    void write(const std::string& path, std::uint64_t at, const void* bytes, std::size_t count);
    void truncate(const std::string& path, std::uint64_t size);
    void sync(const std::string& path);
    void remove(const std::string& path);
    [[nodiscard]] bool sharedMemory() const { return m_options.sharedMemory; }

private:
    struct Change {
        std::uint64_t at = 0;
        std::string bytes;
        bool truncates = false;
    };
    struct File {
        std::string durable;
        std::vector<Change> pending;
    };
    static void apply(std::string& content, const Change& change, std::size_t bytes);
    void counted();

    Options m_options;
    std::uint64_t m_random;
    std::uint64_t m_operations = 0;
    std::map<std::string, File> m_files;
};

} // namespace anodex::test
