#include "app/views/shelf/Cupboard.h"

#include "core/shelf/ShelfNames.h"
#include "formats/EmbeddedData.h"
#include "formats/JsonObject.h"
#include "wording/Texts.h"

#include <algorithm>

namespace anodex::app {
namespace {

QString words(const std::string& id, const std::string& english) {
    return QString::fromStdString(wording::Texts::current().textOr("cupboard." + id, english));
}

/// The name of what stands there, by its kind.
const design::Named& named(const shelf::OwnedMaterial& one) {
    return one.material;
}
const design::Named& named(const shelf::OwnedSubstance& one) {
    return one.substance;
}
const design::Named& named(const shelf::OwnedLiquid& one) {
    return one.ready;
}
const design::Named& named(const shelf::OwnedPart& one) {
    return one.material;
}

template <typename List> auto placeOf(const List& list, const List& alone) {
    return std::find_if(list.begin(), list.end(), [&](const auto& one) {
        return !alone.empty() && named(one).id == named(alone.front()).id;
    });
}

template <typename List> void takeOut(List& list, const List& alone) {
    if (const auto at = placeOf(list, alone); at != list.end()) {
        list.erase(at);
    }
}

std::optional<CupboardThing> thingOf(const chemistry::Catalogue& catalogue, const formats::Json& json) {
    CupboardThing thing;
    thing.put = json["put"].get<std::string>();
    QString problem;
    const auto alone = withOwned(catalogue, {}, thing.put, problem);
    if (!alone) {
        return {};
    }
    const std::string id = json["id"].get<std::string>();
    thing.id = QString::fromStdString(id);
    thing.name = words(id, json["name"].get<std::string>());
    thing.looks = QString::fromStdString(json.value("looks", std::string()));
    thing.alone = *alone;
    shelf::identify(catalogue, thing.alone);
    thing.owned = thingsOn(*alone).front();
    return thing;
}

} // namespace

std::vector<CupboardPlace> cupboard(const chemistry::Catalogue& catalogue) {
    std::vector<CupboardPlace> places;
    formats::Json file;
    if (formats::parseJson(formats::embeddedFile("cupboard/cupboard.json"), file)) {
        return places;
    }
    for (const formats::Json& one : file["places"]) {
        CupboardPlace place;
        place.name = words(one["id"].get<std::string>(), one["name"].get<std::string>());
        for (const formats::Json& json : one["things"]) {
            if (auto thing = thingOf(catalogue, json)) {
                place.things.push_back(std::move(*thing));
            }
        }
        places.push_back(std::move(place));
    }
    return places;
}

bool stands(const shelf::Shelf& shelf, const CupboardThing& thing) {
    const auto in = [](const auto& list, const auto& alone) { return placeOf(list, alone) != list.end(); };
    return in(shelf.materials, thing.alone.materials) || in(shelf.substances, thing.alone.substances) ||
           in(shelf.liquids, thing.alone.liquids) || in(shelf.separators, thing.alone.separators) ||
           in(shelf.cases, thing.alone.cases);
}

shelf::Shelf without(const shelf::Shelf& shelf, const CupboardThing& thing) {
    shelf::Shelf left = shelf;
    takeOut(left.materials, thing.alone.materials);
    takeOut(left.substances, thing.alone.substances);
    takeOut(left.liquids, thing.alone.liquids);
    takeOut(left.separators, thing.alone.separators);
    takeOut(left.cases, thing.alone.cases);
    return left;
}

} // namespace anodex::app
