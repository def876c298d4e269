// src/wording/ScreenText.h - why a screened cell ranks where it does, in one sentence.
#pragma once
#include "core/shelf/Screening.h"
#include <string>

namespace anodex::wording {

[[nodiscard]] std::string screenReason(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                                       const cell::Evaluation& evaluation,
                                       const std::vector<findings::Finding>& findings, shelf::RankBy by);

} // namespace anodex::wording
