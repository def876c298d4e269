// src/core/chemistry/Hazard.h - a hazard statement of the UN's Globally Harmonized System.
#pragma once
#include <string>

namespace anodex::chemistry {

inline constexpr double kGenericCorrosiveShare = 0.05;  // of H314
inline constexpr double kGenericIrritatingShare = 0.01; // the same

struct Hazard {
    std::string code;      ///< GHS hazard statement code, e.g. "H314".
    std::string statement; ///< Its official wording in the catalogue's language.
    /// Mass fraction of a mixture from which it applies, and from which the mixture at least irritates. Unless a
    /// substance has limits of its own: Regulation (EC) No 1272/2008, annex I, tables 3.2.3 and 3.3.3.
    double fromShare = kGenericCorrosiveShare;
    double irritatesFromShare = kGenericIrritatingShare;
};

} // namespace anodex::chemistry
