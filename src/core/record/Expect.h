// src/core/record/Expect.h - what the model says today, as the value a build keeps for good.
#pragma once
#include "core/cell/Doubt.h"
#include "core/record/Record.h"
#include <string>

namespace anodex::record {

/// Raised when the laws in core change what they answer.
inline constexpr const char* kModelVersion = "1";

[[nodiscard]] Expectation expectationOf(const std::string& catalogueVersion,
                                        const cell::Evaluation& evaluation, const cell::Doubt& doubt);

} // namespace anodex::record
