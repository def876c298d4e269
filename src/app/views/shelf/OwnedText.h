// src/app/views/shelf/OwnedText.h - what goes on the shelf, as it is typed: an amount, a name, a price.
//
// Amounts    an area or a mass makes a material, a mass a substance where the name is one, a volume a
//            ready-made liquid; nothing a separator, a case, or a piece of 10 cm². "for 2.50" is a price.
#pragma once
#include "core/chemistry/Catalogue.h"
#include "core/shelf/Shelf.h"
#include <QString>
#include <QStringList>
#include <optional>
#include <string_view>

namespace anodex::app {

/// The shelf with the thing on it; in place of the same thing by this or another name. The problem in a line otherwise.
[[nodiscard]] std::optional<shelf::Shelf> withOwned(const chemistry::Catalogue& catalogue, shelf::Shelf shelf,
                                                    std::string_view text, QString& problem);

/// One thing of the shelf as it would be typed.
struct OwnedThing {
    enum class Kind { Material, Substance, Liquid, Separator, Case };
    Kind kind = Kind::Material;
    std::size_t index = 0; ///< Within its kind.
    QString name;
    QString amount;
};
/// What may be typed, with names of this catalogue.
[[nodiscard]] QStringList ownedExamples(const chemistry::Catalogue& catalogue);
[[nodiscard]] std::vector<OwnedThing> thingsOn(const shelf::Shelf& shelf);
[[nodiscard]] shelf::Shelf without(shelf::Shelf shelf, const OwnedThing& thing);

} // namespace anodex::app
