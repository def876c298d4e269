// src/notebook/FileLock.h - one writer per notebook, by an open-file-description lock on "<file>.lock".
//
// The lock dies with the process, so a killed program never leaves a notebook locked.
#pragma once
#include "notebook/NotebookError.h"
#include <optional>
#include <string>
#include <tl/expected.hpp>

namespace anodex::notebook {

class FileLock {
public:
    /// `owner` is written into the lock file for whoever finds it taken.
    [[nodiscard]] static tl::expected<FileLock, NotebookError> take(const std::string& path,
                                                                    const std::string& owner);
    FileLock(FileLock&& other) noexcept;
    FileLock& operator=(FileLock&& other) noexcept;
    FileLock(const FileLock&) = delete;
    FileLock& operator=(const FileLock&) = delete;
    ~FileLock();

private:
    FileLock(int descriptor, std::string path) : m_descriptor(descriptor), m_path(std::move(path)) {}
    void release();

    int m_descriptor = -1;
    std::string m_path;
};

} // namespace anodex::notebook
