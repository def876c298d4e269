#include "app/widgets/MaterialTint.h"

#include "formats/EmbeddedData.h"
#include "formats/JsonObject.h"

#include <algorithm>

namespace anodex::app {
namespace {

const formats::Json& tints() {
    static const formats::Json kTints = [] {
        formats::Json table;
        if (formats::parseJson(formats::embeddedFile("looks/tints.json"), table)) {
            table = formats::Json::object();
        }
        return table;
    }();
    return kTints;
}

QColor tint(const char* kind, const std::string& name) {
    const auto table = tints().find(kind);
    const auto found = table == tints().end() ? table : table->find(name);
    return table == tints().end() || found == table->end()
               ? QColor()
               : QColor(QString::fromStdString(found->get<std::string>()));
}

} // namespace

QColor tintOf(const chemistry::Catalogue& catalogue, const chemistry::Material& material,
              const Colours& colours) {
    if (const QColor own = tint("materials", material.id); own.isValid()) {
        return own;
    }
    const auto shows = std::max_element(material.surfaces.begin(), material.surfaces.end(),
                                        [](const auto& a, const auto& b) { return a.share < b.share; });
    const QColor of =
        shows == material.surfaces.end() ? QColor() : tint("phases", catalogue.species[shows->phase].name);
    return of.isValid() ? of : colours.rule;
}

} // namespace anodex::app
