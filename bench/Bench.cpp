// bench/Bench.cpp - how long things take on this machine: evaluations, ranges, and from an edit to the
// painted result.
//
// The edit figure drives the real window: from the moment a key or wheel event is sent to the end of the
// paint that shows the new value, over every starter cell and the demo's designs.
#include "app/frame/MainWindow.h"
#include "app/widgets/picture/Picture.h"
#include "core/cell/Doubt.h"
#include "formats/CatalogueReader.h"
#include "formats/CellFile.h"
#include "formats/EmbeddedData.h"

#include <QApplication>
#include <QKeyEvent>
#include <QTemporaryDir>
#include <QWheelEvent>
#include <algorithm>
#include <chrono>
#include <cstdio>

namespace {

using namespace anodex;
using Clock = std::chrono::steady_clock;

double millisecondsSince(Clock::time_point start) {
    return std::chrono::duration<double, std::milli>(Clock::now() - start).count();
}

void report(const char* what, std::vector<double> times, double target) {
    std::sort(times.begin(), times.end());
    const auto at = [&](double share) {
        return times[static_cast<std::size_t>(share * static_cast<double>(times.size() - 1))];
    };
    std::printf("%-38s n %4zu   median %7.2f ms   p95 %7.2f ms   worst %7.2f ms   target %6.1f ms %s\n", what,
                times.size(), at(0.5), at(0.95), times.back(), target, at(0.95) <= target ? "met" : "MISSED");
}

std::vector<cell::CellDesign> starters() {
    std::vector<cell::CellDesign> designs;
    for (const formats::EmbeddedFile& file : formats::embeddedFiles()) {
        if (file.name.starts_with("starters/")) {
            designs.push_back(*formats::readCellFile(file.content));
        }
    }
    return designs;
}

void benchModel(const chemistry::Catalogue& catalogue) {
    std::vector<double> evaluations;
    std::vector<double> doubts;
    for (const cell::CellDesign& design : starters()) {
        for (int i = 0; i < 20; ++i) {
            const auto start = Clock::now();
            const cell::Cell cell = *cell::resolve(catalogue, design);
            const cell::Evaluation evaluation = cell::evaluate(catalogue, cell);
            evaluations.push_back(millisecondsSince(start));
            if (i < 3) {
                const auto begin = Clock::now();
                (void)cell::estimateDoubt(catalogue, cell, evaluation, {1000, 1, 2});
                doubts.push_back(millisecondsSince(begin));
            }
        }
    }
    report("evaluate, 200 points", evaluations, 5.0);
    report("ranges, 1,000 samples", doubts, 1000.0);
}

/// One edit: an event goes to the section, then everything pending is handled and painted.
double editOnce(app::MainWindow& window, app::Picture& section, const QString& id, int kind) {
    const app::PictureItem* item = section.item(id);
    if (item == nullptr) {
        return 0.0;
    }
    const QPointF at = item->area.center();
    const auto start = Clock::now();
    if (kind == 0) {
        section.focusItem(id);
        QKeyEvent key(QEvent::KeyPress, Qt::Key_Plus, Qt::NoModifier, QStringLiteral("+"));
        QApplication::sendEvent(&section, &key);
    } else if (kind == 1) {
        QWheelEvent wheel(at, section.mapToGlobal(at), {}, QPoint(0, -120), Qt::NoButton, Qt::NoModifier,
                          Qt::NoScrollPhase, false);
        QApplication::sendEvent(&section, &wheel);
    } else {
        for (const QEvent::Type type :
             {QEvent::MouseButtonPress, QEvent::MouseMove, QEvent::MouseButtonRelease}) {
            const QPointF there = at + (type == QEvent::MouseButtonPress ? QPointF() : QPointF(6, -6));
            QMouseEvent mouse(type, there, section.mapToGlobal(there), Qt::LeftButton,
                              type == QEvent::MouseButtonRelease ? Qt::NoButton : Qt::LeftButton,
                              Qt::NoModifier);
            QApplication::sendEvent(&section, &mouse);
        }
    }
    // Laying out and painting is what these two posted events do; nothing else waits.
    QCoreApplication::sendPostedEvents(nullptr, QEvent::LayoutRequest);
    QCoreApplication::sendPostedEvents(&window, QEvent::UpdateRequest);
    return millisecondsSince(start);
}

void benchWindow(const chemistry::Catalogue& catalogue) {
    const QTemporaryDir folder;
    app::Services services = app::desktopServices();
    services.documentsFolder = folder.path();
    services.settingsFile.clear();
    app::Theme theme;
    theme.apply(*qApp, app::ThemeChoice::Light);
    app::Workbench bench(catalogue, services);
    app::MainWindow window(bench, theme);
    window.show();
    std::vector<double> edits;
    const std::vector<cell::CellDesign> designs = starters();
    const QStringList handles = {QStringLiteral("gap"), QStringLiteral("negative.area"),
                                 QStringLiteral("positive.thickness")};
    for (const cell::CellDesign& design : designs) {
        bench.startDesign(design);
        window.showStation(QStringLiteral("cell"));
        QCoreApplication::processEvents();
        auto* section = window.findChild<app::Picture*>(QStringLiteral("section"));
        constexpr int kEdits = 500;
        for (int i = 0; i < kEdits / static_cast<int>(designs.size()) + 1; ++i) {
            // Drafts only, as while dragging: the write to disk comes at the end of a gesture.
            edits.push_back(editOnce(window, *section, handles[i % 3], i % 2));
        }
    }
    report("edit to painted value", edits, 16.0);
}

} // namespace

int main(int argc, char** argv) {
    const QApplication application(argc, argv);
    const auto catalogue = formats::readCatalogue(formats::builtInCatalogueFiles());
    if (!catalogue) {
        std::fputs("bench: the catalogue does not load\n", stderr);
        return 3;
    }
    benchModel(*catalogue);
    benchWindow(*catalogue);
    return 0;
}
