// Every window test runs in one application; any Qt warning fails the test it came from.
#include "app/theme/TableTranslator.h"
#include "app/theme/Theme.h"

#include <QApplication>
#include <QTemporaryDir>
#include <gtest/gtest.h>

namespace {

void failOnWarning(QtMsgType type, const QMessageLogContext& /*context*/, const QString& message) {
    // The offscreen platform has no window manager, and says so for each thing it would ask of one.
    const bool offscreenOnly = QGuiApplication::platformName() == QLatin1String("offscreen") &&
                               message.startsWith(QLatin1String("This plugin does not support "));
    if (!offscreenOnly && (type == QtWarningMsg || type == QtCriticalMsg)) {
        ADD_FAILURE() << "Qt said: " << message.toStdString();
    }
}

} // namespace

int main(int argc, char** argv) {
    testing::InitGoogleTest(&argc, argv);
    if (!qEnvironmentVariableIsSet("QT_QPA_PLATFORM") && !qEnvironmentVariableIsSet("DISPLAY")) {
        qputenv("QT_QPA_PLATFORM", "offscreen");
    }
    const QTemporaryDir runtime; // private, as the desktop would give one
    qputenv("XDG_RUNTIME_DIR", runtime.path().toLocal8Bit());
    qInstallMessageHandler(failOnWarning);
    const QApplication application(argc, argv);
    anodex::app::TableTranslator translator;
    QApplication::installTranslator(&translator);
    return RUN_ALL_TESTS();
}
