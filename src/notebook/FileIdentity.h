// src/notebook/FileIdentity.h - which file a name leads to, by device and inode.
#pragma once
#include <cstdint>
#include <optional>
#include <string>

namespace anodex::notebook {

struct FileIdentity {
    std::uint64_t device = 0;
    std::uint64_t inode = 0;
    bool operator==(const FileIdentity&) const = default;
};

/// Symbolic links are followed; nothing where no file stands.
[[nodiscard]] std::optional<FileIdentity> identityOf(const std::string& path);

/// The file itself, where a symbolic link leads to it.
[[nodiscard]] std::string withoutLinks(const std::string& path);

/// False on file systems known to lack what a log shared between programs needs: network and FAT.
[[nodiscard]] bool hasSharedMemory(const std::string& path);

/// Bytes free for this user where `path` stands or would stand.
[[nodiscard]] std::uint64_t freeBytes(const std::string& path);

} // namespace anodex::notebook
