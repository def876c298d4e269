// src/app/views/cell/PartChoices.h - what can be chosen for a part of the cell, beside its sizes: collector,
// powder, case, lid, place, stirring.
#pragma once
#include "app/session/Workbench.h"

class QMenu;

namespace anodex::app {

/// Air, wetness, collector and powder of an electrode.
void addElectrodeChoices(QMenu& menu, Workbench& bench, design::Side side);
void addSeparatorChoices(QMenu& menu, Workbench& bench);
/// Case, lid, stirring, and where the cell stands.
void addVesselChoices(QMenu& menu, Workbench& bench);

} // namespace anodex::app
