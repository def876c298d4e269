#include "notebook/RoleLock.h"

#include <array>
#include <cerrno>
#include <cstring>
#include <fcntl.h>
#include <filesystem>
#include <fmt/format.h>
#include <sys/stat.h>
#include <unistd.h>
#include <utility>

namespace anodex::notebook {
namespace {

using Code = NotebookError::Code;

constexpr off_t kRoles = 2;
constexpr std::size_t kOwnerLength = 256; // the text of role r stands at kOwnerLength * (r + 1)
constexpr mode_t kAnyUser = 0666;
constexpr int kAttempts = 20; // each fails only while another program is just removing the file

/// Another user's lock file in a shared folder is opened, never created anew.
int openFor(const std::string& path) {
    const int there = ::open(path.c_str(), O_RDWR | O_CLOEXEC);
    if (there >= 0 || errno != ENOENT) {
        return there;
    }
    const int made = ::open(path.c_str(), O_RDWR | O_CREAT | O_CLOEXEC, kAnyUser);
    if (made >= 0) {
        ::fchmod(made, kAnyUser);
    }
    return made;
}

bool lockRange(int descriptor, short type, off_t from, off_t length) {
    struct flock request {};
    request.l_type = type;
    request.l_whence = SEEK_SET;
    request.l_start = from;
    request.l_len = length;
    return ::fcntl(descriptor, F_OFD_SETLK, &request) == 0;
}

bool leadsTo(const std::string& path, int descriptor) {
    struct stat named {};
    struct stat open {};
    return ::stat(path.c_str(), &named) == 0 && ::fstat(descriptor, &open) == 0 &&
           named.st_ino == open.st_ino && named.st_dev == open.st_dev;
}

off_t ownerPlace(Role role) {
    return static_cast<off_t>(kOwnerLength) * (static_cast<off_t>(role) + 1);
}

std::string ownerIn(int descriptor, Role role) {
    std::array<char, kOwnerLength> text{};
    const ssize_t length = ::pread(descriptor, text.data(), text.size() - 1, ownerPlace(role));
    return length > 0 && text[0] != '\0' ? std::string(text.data()) : std::string("notebook.by-another");
}

void writeOwner(int descriptor, Role role, const std::string& owner) {
    std::array<char, kOwnerLength> text{};
    owner.copy(text.data(), text.size() - 1);
    // Only for the other's message: a disk without room for it does not keep the notebook from opening.
    [[maybe_unused]] const ssize_t written = ::pwrite(descriptor, text.data(), text.size(), ownerPlace(role));
}

} // namespace

tl::expected<RoleLock, NotebookError> RoleLock::take(const std::string& path, Role role,
                                                     const std::string& owner) {
    RoleLock lock(role);
    if (auto held = lock.hold(path + ".lock", owner); !held) {
        return tl::unexpected(held.error());
    }
    return lock;
}

tl::expected<void, NotebookError> RoleLock::holdInode(const std::string& path, const std::string& owner) {
    struct stat file {};
    if (::stat(path.c_str(), &file) != 0) {
        return tl::unexpected(NotebookError{Code::CannotOpen, std::strerror(errno)});
    }
    const auto name = fmt::format("anodex-{}-{}.lock", file.st_dev, file.st_ino);
    auto held = hold((std::filesystem::temp_directory_path() / name).string(), owner);
    // Without a temporary folder to write in, the lock beside the file has to do.
    return held || held.error().code == Code::LockedElsewhere ? held : tl::expected<void, NotebookError>();
}

tl::expected<void, NotebookError> RoleLock::hold(const std::string& path, const std::string& owner) {
    for (int attempt = 0; attempt < kAttempts; ++attempt) {
        const int descriptor = openFor(path);
        if (descriptor < 0) {
            const bool readOnly = errno == EACCES || errno == EROFS;
            return tl::unexpected(
                NotebookError{readOnly ? Code::ReadOnly : Code::CannotOpen, std::strerror(errno)});
        }
        if (!lockRange(descriptor, F_WRLCK, static_cast<off_t>(m_role), 1)) {
            const std::string other = ownerIn(descriptor, m_role);
            ::close(descriptor);
            return tl::unexpected(NotebookError{Code::LockedElsewhere, other});
        }
        if (leadsTo(path, descriptor)) {
            writeOwner(descriptor, m_role, owner);
            m_held.push_back({descriptor, path});
            return {};
        }
        ::close(descriptor);
    }
    return tl::unexpected(NotebookError{Code::CannotOpen, "notebook.lock-changes"});
}

tl::expected<void, NotebookError> RoleLock::holdAlone() {
    for (const Held& held : m_held) {
        if (!lockRange(held.descriptor, F_WRLCK, 0, kRoles)) {
            const Role other = m_role == Role::Editor ? Role::Recorder : Role::Editor;
            return tl::unexpected(NotebookError{Code::LockedElsewhere, ownerIn(held.descriptor, other)});
        }
    }
    return {};
}

RoleLock::RoleLock(RoleLock&& other) noexcept
    : m_role(other.m_role), m_held(std::exchange(other.m_held, {})) {}

RoleLock& RoleLock::operator=(RoleLock&& other) noexcept {
    if (this != &other) {
        release();
        m_role = other.m_role;
        m_held = std::exchange(other.m_held, {});
    }
    return *this;
}

RoleLock::~RoleLock() {
    release();
}

void RoleLock::release() {
    for (const Held& held : m_held) {
        if (lockRange(held.descriptor, F_WRLCK, 0, kRoles) && leadsTo(held.path, held.descriptor)) {
            ::unlink(held.path.c_str());
        }
        ::close(held.descriptor);
    }
    m_held.clear();
}

} // namespace anodex::notebook
