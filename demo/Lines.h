// demo/Lines.h - the allotment keeper's six lines of cells, each with what went well and what did not. All invented.
#pragma once
#include "demo/DemoBook.h"

namespace anodex::demo {

void frostAlarm(DemoBook& book);
void seedLamp(DemoBook& book);
void shedClock(DemoBook& book);
void doorBell(DemoBook& book);
void meterCheck(DemoBook& book);
/// The last, so that the notebook opens on it.
void rainGauge(DemoBook& book);

} // namespace anodex::demo
