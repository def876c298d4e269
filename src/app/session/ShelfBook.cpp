#include "app/session/ShelfBook.h"

#include "app/session/Commands.h"
#include "core/shelf/ShelfNames.h"
#include "formats/ShelfFile.h"
#include "wording/ErrorText.h"

#include <algorithm>

namespace anodex::app {
namespace {

const record::Document* shelfDocument(const Workbench& bench) {
    const auto& documents = bench.contents().documents;
    const auto found = std::find_if(documents.begin(), documents.end(), [](const record::Document& one) {
        return one.kind == record::DocumentKind::Shelf && !one.setAside;
    });
    return found == documents.end() ? nullptr : &*found;
}

} // namespace

shelf::Shelf shelfIn(Workbench& bench) {
    const record::Document* document = shelfDocument(bench);
    if (document == nullptr) {
        return {};
    }
    auto shelf = formats::readShelfFile(document->text);
    if (!shelf) {
        emit bench.refused(Workbench::tr("The shelf in this notebook does not read: %1")
                               .arg(QString::fromStdString(wording::errorText(shelf.error()))));
        return {};
    }
    shelf::identify(bench.catalogue(), *shelf);
    return std::move(*shelf);
}

bool keepShelf(Workbench& bench, const shelf::Shelf& shelf, const base::Said& said) {
    const record::Document* before = shelfDocument(bench);
    record::Document document =
        before != nullptr ? *before : record::Document{{}, record::DocumentKind::Shelf, "shelf", {}, false};
    shelf::Shelf known = shelf;
    shelf::identify(bench.catalogue(), known);
    document.text = formats::writeShelfFile(known);
    return bench.run(commands::put(std::move(document), said));
}

} // namespace anodex::app
