// src/wording/TypedLoad.h - a load as it is typed: "1 kΩ", "4k7", "5 mA", "20 mW", "red LED", "no load".
#pragma once
#include "core/load/Load.h"
#include "wording/Likely.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace anodex::wording {

struct TypedLoad {
    std::optional<load::Load> load;
    std::optional<Question> question; ///< Where it has two readings, or none.
};

[[nodiscard]] TypedLoad typedLoad(std::string_view text, const std::vector<load::Device>& devices);

/// "1.00 kΩ", "5.00 mA", "red LED", "25 %" of the short circuit; read back as the same load.
[[nodiscard]] std::string loadText(const load::Load& load);

} // namespace anodex::wording
