#include "app/session/ChosenFile.h"

#include <QFileInfo>
#include <algorithm>
#include <iterator>

namespace anodex::app {
namespace {

constexpr const char* kEndings[] = {".anodex", ".cell.json", ".shelf.json"};

} // namespace

QString chosenToSave(const Services& services, const QString& title, const QString& suggested) {
    QString path = services.chooseSave(title, suggested);
    const auto* ending = std::find_if(std::begin(kEndings), std::end(kEndings), [&](const char* one) {
        return suggested.endsWith(QLatin1String(one));
    });
    if (path.isEmpty() || ending == std::end(kEndings) ||
        path.endsWith(QLatin1String(*ending), Qt::CaseInsensitive)) {
        return path;
    }
    const auto named = [&](int number) {
        return path + (number == 1 ? QString() : QStringLiteral(" %1").arg(number)) + QLatin1String(*ending);
    };
    int number = 1;
    while (QFileInfo::exists(named(number))) {
        ++number;
    }
    return named(number);
}

} // namespace anodex::app
