// src/app/views/bench/SaidOfCurrent.h - the current of a file about to be added, in words.
#pragma once
#include "core/record/Record.h"
#include <QStringList>

namespace anodex::app {

/// How much goes which way as the file is read now, and a doubt of it; nothing where none flows.
[[nodiscard]] QStringList saidOfCurrent(const record::RunSamples& samples);

} // namespace anodex::app
