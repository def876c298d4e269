// src/wording/entry/EntryLoad.h - what a reading was taken on: ohms, a device by its name, or a load nobody knows.
#pragma once
#include "wording/entry/EntryWords.h"

namespace anodex::wording {

/// "without the LED", "no load", "unloaded": it is open.
void takeUnloaded(Understanding& understanding);
/// "through 10 ohm", "0.9 V 10 ohm", "on the buzzer", "under load".
void takeLoad(Understanding& understanding, const std::vector<load::Device>* devices);

} // namespace anodex::wording
