// src/notebook/Change.h - one record as it shall be, or as it is after a step of the history.
#pragma once
#include "core/base/Said.h"
#include "core/record/Record.h"
#include <variant>
#include <vector>

namespace anodex::notebook {

/// A record as it shall be from now on: new when its id is new.
using Change = std::variant<record::Project, record::Revision, record::Build, record::Reading, record::Event,
                            record::RunHeader, record::Document>;

/// What undo or redo did: the records it touched as they are now, and the ids of those that are gone.
struct Step {
    base::Said said; ///< Of the command; empty when there was nothing to undo or redo.
    std::vector<Change> now;
    std::vector<record::Id> gone;
};

} // namespace anodex::notebook
