// demo/MakeDemo.cpp - writes the demo notebook: an allotment keeper's cells in six lines.
#include "demo/Lines.h"
#include "formats/catalogue/CatalogueReader.h"
#include "wording/ErrorText.h"

int main(int argc, char** argv) {
    using namespace anodex;
    if (argc != 2) {
        demo::stop("one argument is needed: the notebook to write");
    }
    const auto catalogue = formats::readCatalogue(formats::builtInCatalogueFiles());
    if (!catalogue) {
        demo::stop(wording::errorText(catalogue.error()));
    }
    auto file = notebook::Notebook::open(argv[1], notebook::OpenMode::Create, "make-demo");
    if (!file) {
        demo::stop(wording::errorText(file.error()));
    }
    demo::DemoBook book(*catalogue, *file);
    book.fillShelf();
    for (const auto line : {demo::frostAlarm, demo::seedLamp, demo::doorBell, demo::shedClock,
                            demo::meterCheck, demo::rainGauge}) {
        line(book);
    }
    return 0;
}
