// src/notebook/Copies.h - copies, backups and what brings a notebook back.
//
// Every copy is made by the storage library from one consistent state, into a file that appears whole or not
// at all and never takes another's place. Slow for long runs: not for the interface thread.
#pragma once
#include "notebook/Notebook.h"
#include <string>
#include <vector>

namespace anodex::notebook {

/// The notebook as it stands, whoever writes to it meanwhile.
[[nodiscard]] Answer<void> copyNotebook(const std::string& from, const std::string& to);

/// Puts a sound backup in the place of `path`; what stood there is kept beside it. The name it is kept under.
[[nodiscard]] Answer<std::string> restoreNotebook(const std::string& path, const std::string& backup);

struct Rescued {
    Counts kept;
    std::vector<base::Said> lost; ///< Empty when everything could be read.
};
/// Every row and every part of a run that can still be read, in a new notebook without history.
[[nodiscard]] Answer<Rescued> rescueNotebook(const std::string& damaged, const std::string& fresh);

} // namespace anodex::notebook
