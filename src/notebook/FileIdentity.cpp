#include "notebook/FileIdentity.h"

#include <algorithm>
#include <filesystem>
#include <iterator>
#include <sys/stat.h>
#include <sys/vfs.h>

namespace anodex::notebook {
namespace {

// From linux/magic.h and the kernel's sources: NFS, SMB and CIFS, FUSE, 9p, AFS, Coda; FAT and exFAT.
constexpr std::uint32_t kWithoutSharedMemory[] = {0x6969U,     0x517BU,     0xFF534D42U, 0xFE534D42U,
                                                  0x65735546U, 0x01021997U, 0x5346414FU, 0x73757245U,
                                                  0x4D44U,     0x2011BAB0U};

std::string folderOf(const std::string& path) {
    const auto folder = std::filesystem::path(path).parent_path();
    return folder.empty() ? "." : folder.string();
}

} // namespace

std::optional<FileIdentity> identityOf(const std::string& path) {
    struct stat file {};
    if (::stat(path.c_str(), &file) != 0) {
        return std::nullopt;
    }
    return FileIdentity{file.st_dev, file.st_ino};
}

bool hasSharedMemory(const std::string& path) {
    struct statfs system {};
    if (::statfs(folderOf(path).c_str(), &system) != 0) {
        return true;
    }
    const auto type = static_cast<std::uint32_t>(system.f_type);
    return std::find(std::begin(kWithoutSharedMemory), std::end(kWithoutSharedMemory), type) ==
           std::end(kWithoutSharedMemory);
}

std::uint64_t freeBytes(const std::string& path) {
    std::error_code problem;
    const auto space = std::filesystem::space(folderOf(path), problem);
    return problem ? 0 : space.available;
}

std::string withoutLinks(const std::string& path) {
    return std::filesystem::is_symlink(path) ? std::filesystem::canonical(path).string() : path;
}

} // namespace anodex::notebook
