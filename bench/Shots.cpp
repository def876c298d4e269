// bench/Shots.cpp - draws every main view of the real window from the demo data into a folder.
//
// Options after the folder: --dark, --scale S (font), --size WxH, --notebook FILE, --cell FILE, --only
// STATION, --place PLACE, --prefix TEXT, --language NAME.
#include "app/frame/MainWindow.h"
#include "app/theme/TableTranslator.h"
#include "app/views/couple/CoupleView.h"
#include "formats/CellFile.h"
#include "formats/catalogue/CatalogueReader.h"
#include "wording/Texts.h"

#include <QApplication>
#include <QCommandLineParser>
#include <QDir>
#include <QElapsedTimer>
#include <QFile>
#include <QTemporaryDir>
#include <cstdio>

namespace {

void settle(int milliseconds) {
    QElapsedTimer timer;
    timer.start();
    while (timer.elapsed() < milliseconds) {
        QCoreApplication::processEvents(QEventLoop::AllEvents, 20);
    }
}

/// Every view; curves and charge are faces of the couple, the gallery one of the notebook.
QStringList picturesWanted() {
    QStringList pictures;
    for (const anodex::app::ViewEntry& view : anodex::app::viewList()) {
        pictures << view.id;
        if (view.id == QLatin1String("notebook")) {
            pictures << "gallery";
        }
        if (view.id == QLatin1String("couple")) {
            pictures << "curves"
                     << "charge";
        }
    }
    return pictures;
}

} // namespace

int main(int argc, char** argv) {
    using namespace anodex;
    QApplication application(argc, argv);
    QCommandLineParser parser;
    parser.addPositionalArgument("folder", "Where the pictures go");
    parser.addOptions({{"dark", "Dark theme"},
                       {"scale", "Font scale", "S", "1"},
                       {"size", "Window size", "WxH", "1280x800"},
                       {"notebook", "A notebook instead of the demo", "FILE"},
                       {"cell", "A design file instead of the demo", "FILE"},
                       {"empty", "No notebook at all"},
                       {"language", "Of the texts", "NAME", "en"},
                       {"only", "One station", "ID"},
                       {"place", "In the handbook or the catalogue, where the one station takes it", "PLACE"},
                       {"prefix", "Put before each name", "TEXT"}});
    parser.process(application);
    const QString folder = parser.positionalArguments().value(0, "docs/screenshots");
    QDir().mkpath(folder);

    QFont font = QApplication::font();
    font.setPointSizeF(10.0 * parser.value("scale").toDouble());
    QApplication::setFont(font);
    const auto catalogue = formats::readCatalogue(formats::builtInCatalogueFiles());
    if (!catalogue) {
        std::fputs("shots: the catalogue does not load\n", stderr);
        return 3;
    }
    app::TableTranslator translator;
    QApplication::installTranslator(&translator);
    wording::Texts::use(parser.value("language").toStdString());
    const QTemporaryDir documents;
    app::Services services = app::desktopServices();
    services.documentsFolder = documents.path();
    services.settingsFile.clear();
    services.motion = false;
    app::Theme theme;
    theme.apply(application, parser.isSet("dark") ? app::ThemeChoice::Dark : app::ThemeChoice::Light);
    app::Workbench bench(*catalogue, services);
    app::MainWindow window(bench, theme);
    const QStringList size = parser.value("size").split('x');
    window.resize(size.value(0).toInt(), size.value(1).toInt());
    window.show();
    if (parser.isSet("notebook")) {
        bench.files().open(parser.value("notebook"), false);
    } else if (parser.isSet("cell")) {
        QFile file(parser.value("cell"));
        const bool opened = file.open(QIODevice::ReadOnly);
        const auto design = formats::readCellFile(opened ? file.readAll().toStdString() : std::string());
        if (!design) {
            std::fprintf(stderr, "shots: %s does not read\n", qPrintable(parser.value("cell")));
            return 1;
        }
        bench.startDesign(*design);
    } else if (!parser.isSet("empty")) {
        window.openDemo();
    }
    for (const QString& view : picturesWanted()) {
        if (parser.isSet("only") && parser.value("only") != view) {
            continue;
        }
        const bool face = view == "charge" || view == "curves";
        const QString station = face ? QString("couple") : view;
        window.showStation(view == "gallery" ? QString("notebook") : station);
        if (view == "gallery") {
            window.perform("beginAnother");
        }
        if (parser.isSet("place")) {
            window.openFile(parser.value("place"));
        }
        if (auto* couple = window.findChild<app::CoupleView*>(); couple != nullptr && station == "couple") {
            couple->showFace(view == "charge"   ? app::CoupleView::Face::Charge
                             : view == "curves" ? app::CoupleView::Face::Curves
                                                : app::CoupleView::Face::Ladder);
        }
        settle(700);
        if (station == "cell" || station == "shelf" || view == "gallery") {
            settle(station == "cell" ? 2500 : 6000); // what would help, and what can be made, is sought aside
        }
        const QString path = folder + "/" + parser.value("prefix") + view + ".png";
        if (!window.grab().save(path)) {
            std::fprintf(stderr, "shots: %s cannot be written\n", qPrintable(path));
            return 3;
        }
        std::printf("%s\n", qPrintable(path));
    }
    return 0;
}
