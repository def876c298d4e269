// src/app/session/ChosenFile.h - where something is to be saved, with the ending its kind has.
#pragma once
#include "app/session/Services.h"

namespace anodex::app {

/// What the user chose, with `suggested`'s own ending (".anodex", ".cell.json", ".shelf.json") where none was typed.
/// A file that the ending would name by surprise is left alone: the name is made a fresh one then. Empty: not now.
[[nodiscard]] QString chosenToSave(const Services& services, const QString& title, const QString& suggested);

} // namespace anodex::app
