#include "formats/catalogue/Context.h"

#include <algorithm>

namespace anodex::formats::catalogue {

using Code = FileError::Code;

namespace {

const load::Device* deviceNamed(const chemistry::Catalogue& catalogue, const std::string& id) {
    const auto found = std::find_if(catalogue.loads.begin(), catalogue.loads.end(),
                                    [&](const load::Device& device) { return device.id == id; });
    return found == catalogue.loads.end() ? nullptr : &*found;
}

/// From volts and milliamperes, both never falling.
base::Table currentOf(JsonObject& entry) {
    base::Table table = Context::tableOf(entry, "volts_mA");
    for (base::TablePoint& point : table) {
        point.y *= 1e-3;
    }
    const bool falls = std::adjacent_find(table.begin(), table.end(), [](const auto& a, const auto& b) {
                           return b.y < a.y;
                       }) != table.end();
    if (table.size() < 2 || table.front().x < 0.0 || table.front().y < 0.0 || falls) {
        entry.fail(Code::OutOfRange, "volts_mA", "what it holds",
                   "two points or more from 0 V on, the current never falling");
    }
    return table;
}

} // namespace

/// What a name may be stands before it.
void readLoads(Context& context, JsonObject& root) {
    root.eachObject("loads", [&](JsonObject& entry) {
        load::Device device;
        device.id = entry.text("id");
        device.names = entry.texts("names");
        if (device.names.empty()) {
            entry.fail(Code::MissingKey, "names", "nothing", "at least one name");
        }
        device.mayBe = entry.texts("may_be");
        for (const std::string& other : device.mayBe) {
            if (deviceNamed(context.catalogue, other) == nullptr) {
                entry.fail(Code::UnknownName, "may_be", "\"" + other + "\"", "the id of a load above it");
            }
        }
        device.blocksReversed = entry.flagOr("blocks_reversed", false);
        if (device.mayBe.empty()) {
            device.amps = currentOf(entry);
        }
        device.sources = context.sourcesOf(entry);
        context.catalogue.loads.push_back(std::move(device));
    });
}

} // namespace anodex::formats::catalogue
