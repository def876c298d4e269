#include "app/frame/Application.h"
#include "app/frame/MainWindow.h"
#include "app/frame/MessageStrip.h"
#include "app/theme/TableTranslator.h"
#include "core/base/FreedMemory.h"
#include "formats/catalogue/CatalogueReader.h"
#include "wording/ErrorText.h"
#include "wording/Texts.h"

#include <QApplication>
#include <QCommandLineParser>
#include <QFileInfo>
#include <QIcon>
#include <QSettings>
#include <QStandardPaths>
#include <QTimer>
#include <cstdio>

namespace {

using namespace anodex;

/// Without a display Qt stops with a long complaint; one line that says what to set helps more.
bool displayMissing() {
    const bool has = qEnvironmentVariableIsSet("DISPLAY") || qEnvironmentVariableIsSet("WAYLAND_DISPLAY") ||
                     qEnvironmentVariableIsSet("QT_QPA_PLATFORM");
    return !has;
}

app::ThemeChoice storedTheme(const QString& settingsFile) {
    const QSettings settings(settingsFile, QSettings::IniFormat);
    const int stored = settings.value(QStringLiteral("theme"), 0).toInt();
    return stored >= 0 && stored <= 2 ? static_cast<app::ThemeChoice>(stored)
                                      : app::ThemeChoice::FollowDesktop;
}

} // namespace

int main(int argc, char** argv) {
    if (displayMissing()) {
        std::fputs("anodex: no display found; set DISPLAY or WAYLAND_DISPLAY, or QT_QPA_PLATFORM=offscreen "
                   "to run without one\n",
                   stderr);
        return 3;
    }
    base::keepFreedMemory();
    app::Application application(argc, argv);
    QApplication::setApplicationName(QStringLiteral("Anodex"));
    QGuiApplication::setDesktopFileName(QStringLiteral("anodex"));
    QApplication::setWindowIcon(QIcon(QStringLiteral(":/icons/anodex.svg")));
    QCommandLineParser parser;
    parser.addHelpOption();
    const QCommandLineOption demo(QStringLiteral("demo"), QStringLiteral("Open the demo notebook"));
    const QCommandLineOption quit(QStringLiteral("quit-when-shown"),
                                  QStringLiteral("Close again as soon as the window is painted"));
    parser.addOptions({demo, quit});
    parser.addPositionalArgument(QStringLiteral("notebook"), QStringLiteral("*.anodex"));
    parser.process(application);

    const QStringList files = parser.positionalArguments();
    app::OneWindow one(QStandardPaths::writableLocation(QStandardPaths::RuntimeLocation) +
                       QStringLiteral("/anodex.socket"));
    const app::OneWindow::Wish wish{files.isEmpty() ? QString() : QFileInfo(files.front()).absoluteFilePath(),
                                    parser.isSet(demo)};
    if (!parser.isSet(quit) && one.handOver(wish)) {
        return 0;
    }
    wording::Texts::useOfDesktop();
    const auto catalogue = formats::readCatalogue(formats::builtInCatalogueFiles());
    if (!catalogue) {
        std::fprintf(stderr, "anodex: catalogue: %s\n", wording::errorText(catalogue.error()).c_str());
        return 3;
    }
    const app::Services services = app::desktopServices();
    application.setLog(*services.log);
    application.endOnSignals();
    app::TableTranslator translator;
    QApplication::installTranslator(&translator);
    app::Theme theme;
    theme.apply(application, storedTheme(services.settingsFile));
    const app::Aside::AwaitAll untilAllEnded; // work aside speaks of the catalogue until it ends
    app::Workbench bench(*catalogue, services);
    app::MainWindow window(bench, theme);
    application.setFaulted([&](const QString& text) { window.strip()->refuse(text); });
    window.show();
    QSettings settings(services.settingsFile, QSettings::IniFormat);
    const QString last = settings.value(QStringLiteral("lastNotebook")).toString();
    if (parser.isSet(demo)) {
        window.openDemo();
    } else {
        // What is no notebook comes into the one that was open last.
        if ((files.isEmpty() || !app::MainWindow::isNotebook(files.front())) && QFileInfo::exists(last)) {
            window.openFile(last);
        }
        if (!files.isEmpty()) {
            window.openFile(files.front());
        }
    }
    if (parser.isSet(quit)) {
        QTimer::singleShot(0, &application, &QCoreApplication::quit);
    } else {
        QObject::connect(&one, &app::OneWindow::wished, &window, &app::MainWindow::grant);
        one.listen(); // without a socket every start has a window of its own
    }
    const int result = QApplication::exec();
    application.setFaulted({});
    if (const QString lasting = bench.files().lasting(); !lasting.isEmpty()) {
        settings.setValue(QStringLiteral("lastNotebook"), QFileInfo(lasting).absoluteFilePath());
    }
    return result;
}
