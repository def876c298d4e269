// src/app/session/CatalogueHandle.h - a catalogue shared by all that was worked out from it.
#pragma once
#include "core/chemistry/Catalogue.h"
#include <memory>

namespace anodex::app {

/// Unchanging; it lives as long as the last result or the last piece of work that stands on it.
using CatalogueHandle = std::shared_ptr<const chemistry::Catalogue>;

} // namespace anodex::app
