#include "app/widgets/Listed.h"

#include <QCoreApplication>

namespace anodex::app {
namespace {

QString tr(const char* text) {
    return QCoreApplication::translate("Listed", text);
}

} // namespace

QString listed(const QStringList& phrases) {
    QString list;
    for (const QString& phrase : phrases) {
        if (!phrase.isEmpty()) {
            list = list.isEmpty() ? phrase : tr("%1, %2").arg(list, phrase);
        }
    }
    return list;
}

} // namespace anodex::app
