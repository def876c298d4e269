#include "app/frame/FindMatch.h"

#include "core/chemistry/NameLookup.h"

#include <QRegularExpression>
#include <algorithm>

namespace anodex::app {
namespace {

constexpr qsizetype kSlipsFrom = 4; // letters

Fit fitOfWord(const QString& line, const QString& word) {
    if (line.startsWith(word)) {
        return Fit::Begins;
    }
    if (line.contains(word)) {
        return Fit::Holds;
    }
    if (word.size() < kSlipsFrom) {
        return Fit::None;
    }
    static const QRegularExpression kBetween(QStringLiteral("\\W+"),
                                             QRegularExpression::UseUnicodePropertiesOption);
    std::vector<std::string> near;
    for (const QString& one : line.split(kBetween, Qt::SkipEmptyParts)) {
        if (one.size() >= kSlipsFrom) {
            near.push_back(one.toStdString());
        }
    }
    return chemistry::nearestName(word.toStdString(), near).empty() ? Fit::None : Fit::Nearly;
}

} // namespace

Fit fitOf(const QString& line, const QStringList& words) {
    const QString low = line.toLower();
    Fit worst = Fit::Begins;
    for (const QString& word : words) {
        worst = std::min(worst, fitOfWord(low, word));
    }
    return worst;
}

} // namespace anodex::app
