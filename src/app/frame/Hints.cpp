#include "app/frame/Hints.h"

#include "wording/Texts.h"

#include <QSettings>

namespace anodex::app {
namespace {

const QString kUsed = QStringLiteral("used/");

} // namespace

QString Hints::of(const QString& view) const {
    const std::string id = "hint." + view.toStdString();
    if (m_file.isEmpty() || !wording::Texts::current().has(id) ||
        QSettings(m_file, QSettings::IniFormat).value(kUsed + view).toBool()) {
        return {};
    }
    return QString::fromStdString(wording::text(id));
}

void Hints::used(const QString& view) const {
    QSettings(m_file, QSettings::IniFormat).setValue(kUsed + view, true);
}

} // namespace anodex::app
