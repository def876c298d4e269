#include "core/shelf/ShelfNames.h"

namespace anodex::shelf {
namespace {

using design::EntryKind;
using design::Named;

/// `Things` is Shelf, const or not.
template <typename Things, typename Visit> void visitNames(Things& shelf, const Visit& visit) {
    for (auto& owned : shelf.materials) {
        visit(EntryKind::Material, owned.material);
    }
    for (auto& owned : shelf.substances) {
        visit(EntryKind::Substance, owned.substance);
    }
    for (auto& owned : shelf.liquids) {
        visit(EntryKind::Liquid, owned.ready);
    }
    for (auto& part : shelf.separators) {
        visit(EntryKind::Separator, part.material);
    }
    for (auto& part : shelf.cases) {
        visit(EntryKind::Case, part.material);
    }
}

} // namespace

void eachName(Shelf& shelf, const std::function<void(EntryKind, Named&)>& visit) {
    visitNames(shelf, visit);
}

void eachName(const Shelf& shelf, const std::function<void(EntryKind, const Named&)>& visit) {
    visitNames(shelf, visit);
}

void identify(const chemistry::Catalogue& catalogue, Shelf& shelf) {
    eachName(shelf, [&](EntryKind kind, Named& named) {
        design::identify(catalogue, kind, named);
        if (kind == EntryKind::Substance) {
            design::nameFormula(catalogue, named);
        }
    });
}

} // namespace anodex::shelf
