// src/app/frame/FrameDeeds.h - what can be done from anywhere that belongs to no view: designs, notebooks, the
// past.
#pragma once
#include "app/views/View.h"

namespace anodex::app {

class FileActions;
class Workbench;

[[nodiscard]] std::vector<Deed> frameDeeds(Workbench& bench, FileActions& files);

} // namespace anodex::app
