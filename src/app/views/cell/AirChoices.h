// src/app/views/cell/AirChoices.h - how an electrode meets the air: words for it and the ways to change it.
#pragma once
#include "core/chemistry/Catalogue.h"
#include "core/design/Cell.h"
#include <QString>
#include <functional>
#include <vector>

namespace anodex::app {

struct AirChoice {
    QString words;
    bool taken = false;
    std::function<void(design::ElectrodeDesign&)> apply;
};

/// "breathing through 5 % holes, pores 80 % full".
[[nodiscard]] QString airWords(const chemistry::Catalogue& catalogue, const design::Electrode& electrode);

/// Groups to be set apart in a menu: the air, and for a porous electrode how wet it is.
[[nodiscard]] std::vector<std::vector<AirChoice>> airChoices(const chemistry::Catalogue& catalogue,
                                                             const design::Electrode& electrode);

} // namespace anodex::app
