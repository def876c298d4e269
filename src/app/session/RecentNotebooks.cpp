#include "app/session/RecentNotebooks.h"

#include <QFileInfo>
#include <QSettings>

namespace anodex::app {
namespace {

const QString kRecent = QStringLiteral("recentNotebooks");
constexpr qsizetype kMost = 8;

} // namespace

QStringList RecentNotebooks::paths() const {
    QStringList there;
    if (!m_file.isEmpty()) {
        for (const QString& path : QSettings(m_file, QSettings::IniFormat).value(kRecent).toStringList()) {
            if (QFileInfo::exists(path)) {
                there << path;
            }
        }
    }
    return there;
}

void RecentNotebooks::add(const QString& path) const {
    if (m_file.isEmpty()) {
        return;
    }
    QStringList all = paths();
    all.removeAll(path);
    all.prepend(path);
    QSettings(m_file, QSettings::IniFormat).setValue(kRecent, all.mid(0, kMost));
}

} // namespace anodex::app
