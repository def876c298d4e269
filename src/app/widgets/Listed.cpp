#include "app/widgets/Listed.h"

#include "app/theme/Words.h"

namespace anodex::app {
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
