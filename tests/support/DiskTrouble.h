// tests/support/DiskTrouble.h - a full disk, and a user without special rights, for the length of a scope.
#pragma once
#include <filesystem>

namespace anodex::test {

/// While it lives, every write of the storage library finds no room.
class FullDisk {
public:
    FullDisk();
    ~FullDisk();
    FullDisk(const FullDisk&) = delete;
    FullDisk& operator=(const FullDisk&) = delete;
};

/// While it lives, the folder cannot be written, not even by the administrator running the tests.
class ReadOnlyFolder {
public:
    explicit ReadOnlyFolder(std::filesystem::path folder);
    ~ReadOnlyFolder();
    ReadOnlyFolder(const ReadOnlyFolder&) = delete;
    ReadOnlyFolder& operator=(const ReadOnlyFolder&) = delete;

private:
    std::filesystem::path m_folder;
    unsigned m_effective = 0;
};

} // namespace anodex::test
