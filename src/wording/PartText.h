// src/wording/PartText.h - names of parts, losses, reagents and quantities in plain words.
#pragma once
#include "core/base/Said.h"
#include "core/explain/Explain.h"
#include "core/record/Record.h"
#include <string>

namespace anodex::wording {

[[nodiscard]] std::string partText(cell::ResistancePart part, bool twoLiquids);
[[nodiscard]] std::string lossText(cell::LossPart part);
[[nodiscard]] std::string quantityName(explain::Quantity quantity);
[[nodiscard]] std::string readingName(record::ReadingQuantity quantity);
[[nodiscard]] std::string readingText(const record::Reading& reading);
/// "open circuit 1.02 V"
[[nodiscard]] base::Said readingSaid(const record::Reading& reading);
[[nodiscard]] std::string readingSentence(const record::Reading& reading);
/// The same as it would be typed: what EntryLine reads, whatever the language.
[[nodiscard]] std::string readingEntry(const record::Reading& reading);

/// What a builder calls the substance behind a reagent: the poured salt or the electrode, not the ion.
[[nodiscard]] std::string reagentName(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                                      const cell::Reagent& reagent);

/// "Zn²⁺ + 2 e⁻ → Zn" with real super- and subscripts, for reading, not for files.
[[nodiscard]] std::string prettyEquation(const std::string& equation);

} // namespace anodex::wording
