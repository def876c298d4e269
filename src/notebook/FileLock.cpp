#include "notebook/FileLock.h"

#include <array>
#include <cerrno>
#include <cstring>
#include <fcntl.h>
#include <unistd.h>
#include <utility>

namespace anodex::notebook {

using Code = NotebookError::Code;

tl::expected<FileLock, NotebookError> FileLock::take(const std::string& path, const std::string& owner) {
    const std::string lockPath = path + ".lock";
    const int descriptor = ::open(lockPath.c_str(), O_RDWR | O_CREAT | O_CLOEXEC, 0644);
    if (descriptor < 0) {
        const bool readOnly = errno == EACCES || errno == EROFS;
        return tl::unexpected(
            NotebookError{readOnly ? Code::ReadOnly : Code::CannotOpen, std::strerror(errno)});
    }
    struct flock request {};
    request.l_type = F_WRLCK;
    request.l_whence = SEEK_SET;
    if (::fcntl(descriptor, F_OFD_SETLK, &request) != 0) {
        std::array<char, 256> text{};
        const ssize_t length = ::read(descriptor, text.data(), text.size() - 1);
        ::close(descriptor);
        return tl::unexpected(NotebookError{
            Code::LockedElsewhere, length > 0 ? std::string(text.data(), static_cast<std::size_t>(length))
                                              : std::string("by another program")});
    }
    if (::ftruncate(descriptor, 0) == 0) {
        [[maybe_unused]] const ssize_t written = ::write(descriptor, owner.data(), owner.size());
    }
    return FileLock(descriptor, lockPath);
}

FileLock::FileLock(FileLock&& other) noexcept
    : m_descriptor(std::exchange(other.m_descriptor, -1)), m_path(std::move(other.m_path)) {}

FileLock& FileLock::operator=(FileLock&& other) noexcept {
    if (this != &other) {
        release();
        m_descriptor = std::exchange(other.m_descriptor, -1);
        m_path = std::move(other.m_path);
    }
    return *this;
}

FileLock::~FileLock() {
    release();
}

void FileLock::release() {
    if (m_descriptor >= 0) {
        ::unlink(m_path.c_str());
        ::close(m_descriptor);
        m_descriptor = -1;
    }
}

} // namespace anodex::notebook
