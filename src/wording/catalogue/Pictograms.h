// src/wording/catalogue/Pictograms.h - the warning pictures that belong to hazard statements.
//
// Law        Regulation (EC) No 1272/2008 (CLP): Annex V, and Article 26 for those that give way to others. The
//            table stands in data/hazards/pictograms.json.
#pragma once
#include <string>
#include <vector>

namespace anodex::wording {

/// Ids such as "flame", in the order of the table, each once. Codes look like "H314"; letters behind the three
/// digits ("H350i") are of the same picture. Codes without a picture, and unknown ones, add none.
[[nodiscard]] std::vector<std::string> pictogramsFor(const std::vector<std::string>& codes);

} // namespace anodex::wording
