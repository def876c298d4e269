#include "bench/Edits.h"

#include "app/widgets/picture/Picture.h"
#include "bench/Measure.h"

#include <QApplication>
#include <QKeyEvent>
#include <QWheelEvent>

namespace anodex::bench {
namespace {

enum class Gesture { Key, Wheel, Drag };

void sendMouse(QWidget& target, QEvent::Type type, const QPointF& at) {
    const bool moving = type == QEvent::MouseMove;
    QMouseEvent mouse(type, at, target.mapToGlobal(at), moving ? Qt::NoButton : Qt::LeftButton,
                      type == QEvent::MouseButtonRelease ? Qt::NoButton : Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(&target, &mouse);
}

/// One edit: an event goes to the section, then everything pending is handled and painted. Of a drag the move
/// is timed, as the hand sees it; pressing changes nothing, and releasing writes to the disk.
double editOnce(app::MainWindow& window, app::Picture& section, const QString& id, Gesture gesture,
                int turn) {
    const app::PictureItem* item = section.item(id);
    if (item == nullptr) {
        return 0.0;
    }
    const QPointF at = item->area.center();
    const QPointF away = at + (turn % 2 == 0 ? QPointF(9, -9) : QPointF(-9, 9));
    if (gesture == Gesture::Drag) {
        sendMouse(section, QEvent::MouseButtonPress, at);
    }
    const auto start = Clock::now();
    if (gesture == Gesture::Key) {
        section.focusItem(id);
        QKeyEvent key(QEvent::KeyPress, Qt::Key_Plus, Qt::NoModifier, QStringLiteral("+"));
        QApplication::sendEvent(&section, &key);
    } else if (gesture == Gesture::Wheel) {
        QWheelEvent wheel(at, section.mapToGlobal(at), {}, QPoint(0, -120), Qt::NoButton, Qt::NoModifier,
                          Qt::NoScrollPhase, false);
        QApplication::sendEvent(&section, &wheel);
    } else {
        sendMouse(section, QEvent::MouseMove, away);
    }
    // Laying out and painting is what these two posted events do; nothing else waits.
    QCoreApplication::sendPostedEvents(nullptr, QEvent::LayoutRequest);
    QCoreApplication::sendPostedEvents(&window, QEvent::UpdateRequest);
    const double took = millisecondsSince(start);
    if (gesture == Gesture::Drag) {
        sendMouse(section, QEvent::MouseButtonRelease, away);
    }
    return took;
}

} // namespace

app::Services servicesIn(const QTemporaryDir& folder) {
    app::Services services = app::desktopServices();
    services.documentsFolder = folder.path();
    services.settingsFile.clear();
    return services;
}

void showBench(app::Workbench& bench, app::MainWindow& window, const std::string& path) {
    window.show();
    bench.files().open(QString::fromStdString(path), false);
    window.showStation(QStringLiteral("bench"));
    QCoreApplication::processEvents();
}

void benchEdits(app::Workbench& bench, app::MainWindow& window,
                const std::vector<design::CellDesign>& designs, double target) {
    const QStringList handles = {QStringLiteral("gap"), QStringLiteral("negative.area"),
                                 QStringLiteral("positive.thickness"), QStringLiteral("positive.area")};
    constexpr int kEdits = 504;
    std::vector<double> edits[3];
    std::vector<double> all;
    for (const design::CellDesign& design : designs) {
        bench.startDesign(design);
        window.showStation(QStringLiteral("cell"));
        QCoreApplication::processEvents();
        auto* section = window.findChild<app::Picture*>(QStringLiteral("section"));
        for (int i = 0; i < kEdits / static_cast<int>(designs.size()); ++i) {
            const int gesture = i % 3;
            const double took =
                editOnce(window, *section, handles[i / 3 % 4], static_cast<Gesture>(gesture), i / 12);
            edits[gesture].push_back(took);
            all.push_back(took);
        }
    }
    report("edit to painted value, keys", edits[0], target);
    report("edit to painted value, wheel", edits[1], target);
    report("edit to painted value, drag", edits[2], target);
    report("edit to painted value, all", all, target);
}

} // namespace anodex::bench
