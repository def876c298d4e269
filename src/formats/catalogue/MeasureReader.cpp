#include "formats/catalogue/Context.h"

#include <algorithm>

namespace anodex::formats::catalogue {

using namespace chemistry;
using Code = FileError::Code;

namespace {

bool isMeasure(const Catalogue& catalogue, const std::string& name) {
    return std::any_of(
        catalogue.measures.begin(), catalogue.measures.end(), [&](const KitchenMeasure& measure) {
            return std::find(measure.names.begin(), measure.names.end(), name) != measure.names.end();
        });
}

} // namespace

/// What a word may mean stands before it.
void readMeasures(Context& context, JsonObject& root) {
    root.eachObject("measures", [&](JsonObject& entry) {
        KitchenMeasure measure;
        measure.id = entry.text("id");
        measure.names = entry.texts("names");
        measure.mayMean = entry.texts("may_mean");
        for (const std::string& meant : measure.mayMean) {
            if (!isMeasure(context.catalogue, meant)) {
                entry.fail(Code::UnknownName, "may_mean", "\"" + meant + "\"", "a measure above it");
            }
        }
        if (measure.mayMean.empty()) {
            measure.volumeM3 = {1e-6 * entry.number("mL", kPositive), entry.number("spread", kPositive)};
        }
        measure.sources = context.sourcesOf(entry);
        context.catalogue.measures.push_back(std::move(measure));
    });
    root.eachObject("fillings", [&](JsonObject& entry) {
        Filling filling;
        filling.names = entry.texts("names");
        filling.factor = {entry.number("factor", kPositive), entry.number("spread", kPositive)};
        filling.sources = context.sourcesOf(entry);
        context.catalogue.fillings.push_back(std::move(filling));
    });
}

} // namespace anodex::formats::catalogue
