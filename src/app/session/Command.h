// src/app/session/Command.h - a command as a value: what it is called, what shall be, what is at hand then.
#pragma once
#include "core/base/Said.h"
#include "notebook/Change.h"
#include <optional>

namespace anodex::app {

/// What is at hand: by id, empty for none.
struct Place {
    record::Id revision;
    record::Id build;
    bool operator==(const Place&) const = default;
};

struct Command {
    base::Said said; ///< In the history.
    std::vector<notebook::Change> changes;
    std::optional<Place> after; ///< At hand once it is done; none: what was before.
    base::Said answer;          ///< Told when it is done; empty: what it is called.
};

} // namespace anodex::app
