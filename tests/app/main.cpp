// Every window test runs in one application; any Qt warning fails the test it came from.
#include "app/theme/Theme.h"

#include <QApplication>
#include <gtest/gtest.h>

namespace {

void failOnWarning(QtMsgType type, const QMessageLogContext& /*context*/, const QString& message) {
    const bool offscreenOnly =
        message.startsWith("This plugin does not support") || message.contains("XDG_RUNTIME_DIR");
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
    QApplication application(argc, argv);
    qInstallMessageHandler(failOnWarning);
    return RUN_ALL_TESTS();
}
