// src/notebook/RoleLock.h - who may write: one editor and one recorder at a time, or a migration alone.
//
// Roles are byte ranges of "<file>.lock", held as open-file-description locks, so that a killed program never
// leaves a notebook locked. The same ranges are held in a file of the temporary folder named by the
// notebook's device and inode: a hard link has another name beside it but not another inode. Symbolic links
// are followed first.
//
// A lock file is removed only by who holds all of its ranges, and whoever takes a range makes sure afterwards
// that the name still leads to the file it locked.
#pragma once
#include "notebook/NotebookError.h"
#include <string>
#include <tl/expected.hpp>
#include <vector>

namespace anodex::notebook {

/// The byte each role holds; never renumbered.
enum class Role { Editor = 0, Recorder = 1 };

class RoleLock {
public:
    /// `path` exists or is about to. `owner` is written beside the range for whoever finds it taken.
    [[nodiscard]] static tl::expected<RoleLock, NotebookError> take(const std::string& path, Role role,
                                                                    const std::string& owner);
    RoleLock(RoleLock&& other) noexcept;
    RoleLock& operator=(RoleLock&& other) noexcept;
    RoleLock(const RoleLock&) = delete;
    RoleLock& operator=(const RoleLock&) = delete;
    ~RoleLock();

    /// Once the file exists: the same role by the file's inode, whatever name led to it.
    [[nodiscard]] tl::expected<void, NotebookError> holdInode(const std::string& path,
                                                              const std::string& owner);
    /// All roles, for a migration; kept until the lock is released. Fails while another role is held.
    [[nodiscard]] tl::expected<void, NotebookError> holdAlone();

private:
    struct Held {
        int descriptor = -1;
        std::string path;
    };
    explicit RoleLock(Role role) : m_role(role) {}
    [[nodiscard]] tl::expected<void, NotebookError> hold(const std::string& path, const std::string& owner);
    void release();

    Role m_role;
    std::vector<Held> m_held;
};

} // namespace anodex::notebook
