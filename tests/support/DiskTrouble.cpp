#include "tests/support/DiskTrouble.h"

#include <cerrno>
#include <gtest/gtest.h>
#include <linux/capability.h>
#include <sqlite3.h>
#include <sys/syscall.h>
#include <sys/types.h>
#include <unistd.h>

namespace anodex::test {
namespace {

ssize_t noRoom(int /*file*/, const void* /*data*/, std::size_t /*size*/, off64_t /*at*/) {
    errno = ENOSPC;
    return -1;
}

constexpr const char* kWritingCalls[] = {"pwrite", "pwrite64"};

void setWriting(sqlite3_syscall_ptr call) {
    sqlite3_vfs* files = sqlite3_vfs_find(nullptr);
    for (const char* name : kWritingCalls) {
        // One of the two is not used on a given system and cannot be replaced there.
        (void)files->xSetSystemCall(files, name, call);
    }
}

unsigned effectiveRights() {
    __user_cap_header_struct header{_LINUX_CAPABILITY_VERSION_3, 0};
    __user_cap_data_struct data[2]{};
    EXPECT_EQ(syscall(SYS_capget, &header, data), 0);
    return data[0].effective;
}

void setEffectiveRights(unsigned rights) {
    __user_cap_header_struct header{_LINUX_CAPABILITY_VERSION_3, 0};
    __user_cap_data_struct data[2]{};
    EXPECT_EQ(syscall(SYS_capget, &header, data), 0);
    data[0].effective = rights & data[0].permitted;
    EXPECT_EQ(syscall(SYS_capset, &header, data), 0);
}

} // namespace

FullDisk::FullDisk() {
    setWriting(reinterpret_cast<sqlite3_syscall_ptr>(noRoom));
}

FullDisk::~FullDisk() {
    setWriting(nullptr); // the library's own again
}

ReadOnlyFolder::ReadOnlyFolder(std::filesystem::path folder)
    : m_folder(std::move(folder)), m_effective(effectiveRights()) {
    using std::filesystem::perms;
    std::filesystem::permissions(m_folder, perms::owner_read | perms::owner_exec);
    for (const auto& entry : std::filesystem::directory_iterator(m_folder)) {
        std::filesystem::permissions(entry.path(), perms::owner_read);
    }
    setEffectiveRights(m_effective & ~((1U << CAP_DAC_OVERRIDE) | (1U << CAP_DAC_READ_SEARCH)));
}

ReadOnlyFolder::~ReadOnlyFolder() {
    using std::filesystem::perms;
    setEffectiveRights(m_effective);
    std::filesystem::permissions(m_folder, perms::owner_all);
    for (const auto& entry : std::filesystem::directory_iterator(m_folder)) {
        std::filesystem::permissions(entry.path(), perms::owner_read | perms::owner_write);
    }
}

} // namespace anodex::test
