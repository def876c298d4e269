// src/wording/InputText.h - what an uncertain input of the model is called.
#pragma once
#include "core/chemistry/Catalogue.h"
#include "core/electrode/Input.h"
#include <string>

namespace anodex::wording {

/// "contacts and leads", or what of which entry.
[[nodiscard]] std::string inputText(const chemistry::Catalogue& catalogue, const electrode::Input& input);

} // namespace anodex::wording
