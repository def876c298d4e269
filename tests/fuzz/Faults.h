// tests/fuzz/Faults.h - what must hold for any cell that can be built, and for any charge of it.
#pragma once
#include "core/cell/Evaluation.h"
#include "core/charge/Charge.h"
#include <string>

namespace anodex::fuzz {

/// What is wrong; empty when nothing is.
[[nodiscard]] std::string faultOf(const cell::Evaluation& evaluation);
[[nodiscard]] std::string faultOf(const charge::Charging& charging);

} // namespace anodex::fuzz
