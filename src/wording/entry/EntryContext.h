// src/wording/entry/EntryContext.h - what is known of the cell a line is typed for.
#pragma once
#include "core/load/Device.h"

#include <optional>
#include <vector>

namespace anodex::wording {

/// What the cell is expected to give; what lies far from it is asked about.
struct EntryContext {
    std::optional<double> openCircuitVolts;
    std::optional<double> shortCircuitAmps;
    const std::vector<load::Device>* devices = nullptr; ///< That are known by name.
};

} // namespace anodex::wording
