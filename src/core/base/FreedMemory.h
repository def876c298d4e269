// src/core/base/FreedMemory.h - what becomes of memory between two answers.
#pragma once

namespace anodex::base {

/// From here on the program keeps memory it has freed for its next answer. Giving it back to the system and
/// fetching it anew, page by page, takes a tenth and more of an evaluation. Called once, before the first.
void keepFreedMemory();

} // namespace anodex::base
