// src/notebook/Travel.h - the notebook as it was after one step of its history, or after a later one again.
#pragma once
#include "notebook/Notebook.h"

namespace anodex::notebook {

/// Takes steps back, or forward again, until `last` is the newest that stands; 0: none does. `each` is told of every
/// step once it is in the file. The number of steps; those before a failure stay taken.
[[nodiscard]] Answer<int> travelTo(Notebook& notebook, std::int64_t last,
                                   const std::function<void(const Step&)>& each = {});

} // namespace anodex::notebook
