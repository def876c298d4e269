#include "app/session/Services.h"

#include <QDesktopServices>
#include <QDir>
#include <QFileDialog>
#include <QSettings>
#include <QStandardPaths>
#include <QTimeZone>
#include <QUrl>
#include <chrono>

namespace anodex::app {
namespace {

const QString kFolder = QStringLiteral("lastFolder");

/// Begins where the last file was.
QString askFile(const QString& settingsFile, const QString& title, const QString& filter,
                QFileDialog::AcceptMode mode, const QString& suggested) {
    QSettings settings(settingsFile, QSettings::IniFormat);
    QFileDialog dialog(nullptr, title, settings.value(kFolder).toString(), filter);
    dialog.setAcceptMode(mode);
    dialog.setFileMode(mode == QFileDialog::AcceptOpen ? QFileDialog::ExistingFile : QFileDialog::AnyFile);
    if (!suggested.isEmpty()) {
        dialog.selectFile(suggested);
    }
    if (dialog.exec() != QDialog::Accepted || dialog.selectedFiles().isEmpty()) {
        return {};
    }
    settings.setValue(kFolder, dialog.directory().absolutePath());
    return dialog.selectedFiles().front();
}

} // namespace

Services desktopServices() {
    Services services;
    services.now = [] {
        const auto since = std::chrono::system_clock::now().time_since_epoch();
        return static_cast<record::Millis>(
            std::chrono::duration_cast<std::chrono::milliseconds>(since).count());
    };
    services.showFile = [](const QString& path) { QDesktopServices::openUrl(QUrl::fromLocalFile(path)); };
    services.zone = QString::fromUtf8(QTimeZone::systemTimeZoneId());
    services.documentsFolder = QStandardPaths::writableLocation(QStandardPaths::DocumentsLocation);
    services.settingsFile =
        QStandardPaths::writableLocation(QStandardPaths::ConfigLocation) + "/anodex/anodex.ini";
    services.chooseOpen = [file = services.settingsFile](const QString& title, const QString& filter) {
        return askFile(file, title, filter, QFileDialog::AcceptOpen, {});
    };
    services.chooseSave = [file = services.settingsFile](const QString& title, const QString& suggested) {
        return askFile(file, title, {}, QFileDialog::AcceptSave, suggested);
    };
    // XDG_STATE_HOME; this version of the toolkit has no name for it.
    const QString state = qEnvironmentVariable("XDG_STATE_HOME", QDir::homePath() + "/.local/state");
    services.log = std::make_shared<Log>((state + "/anodex/anodex.log").toStdString());
    return services;
}

} // namespace anodex::app
