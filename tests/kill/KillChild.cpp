// tests/kill/KillChild.cpp - works on a notebook through the window's own commands and prints each
// acknowledged change.
//
// Arguments: notebook, seed. Runs until it is killed. Lines: "importing" before an import, "ack HASH" after a
// change, where HASH stands for everything in the notebook but runs set aside.
#include "app/session/Deeds.h"
#include "app/session/Workbench.h"
#include "formats/CellFile.h"
#include "formats/EmbeddedData.h"
#include "formats/catalogue/CatalogueReader.h"
#include "tests/app/Importing.h"
#include "tests/support/InUse.h"

#include <QCoreApplication>
#include <cmath>
#include <cstdio>
#include <cstdlib>
#include <functional>

namespace {

using namespace anodex;

record::RunSamples longRun(std::uint64_t seed) {
    record::RunSamples run;
    for (int i = 0; i < 30000; ++i) {
        run.seconds.push_back(i);
        run.volts.push_back(1.0 + 0.1 * std::sin(i * 0.001 + static_cast<double>(seed % 7)));
        run.amps.push_back(0.01);
    }
    return run;
}

void acknowledge(app::Workbench& bench) {
    const auto book = notebook::Notebook::open(bench.store().path().toStdString(), notebook::OpenMode::Read);
    const auto dump = book ? book->dump() : tl::unexpected(book.error());
    if (!dump) {
        std::fprintf(stderr, "the notebook cannot be read back: %s\n", dump.error().detail.id.c_str());
        std::exit(4);
    }
    std::printf("ack %zu\n", std::hash<std::string>{}(test::inUse(*dump)));
    std::fflush(stdout);
}

void change(app::Workbench& bench, std::uint64_t step) {
    design::CellDesign design = bench.draft().design();
    switch (step % 10) {
    case 0:
    case 1: // a drag: several drafts, one command
        for (int i = 1; i <= 3; ++i) {
            design.gapMetres =
                0.01 + 1e-5 * static_cast<double>((step * 7 + static_cast<std::uint64_t>(i)) % 3000);
            bench.draft().change(design);
        }
        bench.settle();
        break;
    case 2: // typing
        design.liquid.basisValue = 1e-5 * static_cast<double>(1 + step % 50);
        bench.edit(design);
        break;
    case 3:
        bench.writeDownBuild();
        break;
    case 4: {
        record::Reading reading;
        reading.value = 1.0 + 1e-3 * static_cast<double>(step % 100);
        reading.when = static_cast<record::Millis>(step);
        note(bench, {reading});
        break;
    }
    case 5:
        if (bench.selection().build() != nullptr) {
            std::puts("importing");
            std::fflush(stdout);
            importRun(bench, QStringLiteral("run"), 1, longRun(step));
        }
        break;
    case 6:
        bench.undo();
        break;
    case 7:
        bench.redo();
        break;
    case 8:
        branchDesign(bench);
        break;
    default:
        if (bench.contents().revisions.size() > 3) {
            setRevisionAside(bench, bench.contents().revisions[step % bench.contents().revisions.size()].id,
                             true);
        }
        break;
    }
}

} // namespace

int main(int argc, char** argv) {
    QCoreApplication application(argc, argv);
    if (argc != 3) {
        return 2;
    }
    const auto catalogue = formats::readCatalogue(formats::builtInCatalogueFiles());
    app::Services services;
    services.now = [] { return record::Millis{1'790'000'000'000}; };
    app::Workbench bench(*catalogue, services);
    if (!bench.files().open(QString::fromLocal8Bit(argv[1]), true)) {
        return 3;
    }
    if (bench.contents().revisions.empty()) {
        bench.startDesign(*formats::readCellFile(formats::embeddedFile("starters/first.cell.json")));
    }
    acknowledge(bench);
    std::uint64_t state = std::strtoull(argv[2], nullptr, 10);
    constexpr int kEdits = 300;
    for (int i = 0; i < kEdits; ++i) {
        state = state * 6364136223846793005ULL + 1442695040888963407ULL;
        change(bench, state >> 33U);
        acknowledge(bench);
    }
    return 0;
}
