// src/core/chemistry/Hazard.h - a hazard statement of the UN's Globally Harmonized System.
#pragma once
#include <string>

namespace anodex::chemistry {

struct Hazard {
    std::string code;      ///< GHS hazard statement code, e.g. "H314".
    std::string statement; ///< Its official wording in the catalogue's language.
};

} // namespace anodex::chemistry
