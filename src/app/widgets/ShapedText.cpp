#include "app/widgets/ShapedText.h"

#include <QCache>
#include <QStaticText>
#include <QTextOption>
#include <cmath>

namespace anodex::app {
namespace {

constexpr int kKept = 600; // a few pictures full
constexpr int kAnyWidth = -1;

enum class Fit { Whole, Elided, Wrapped };

struct Key {
    QFont font;
    QString text;
    int width = kAnyWidth;
    Fit fit = Fit::Whole;
    int aligned = Qt::AlignLeft; ///< The lines of what is wrapped, to each other.
    bool operator==(const Key&) const = default;
};

std::size_t qHash(const Key& key, std::size_t seed) {
    return qHashMulti(seed, key.font, key.text, key.width, static_cast<int>(key.fit), key.aligned);
}

QStaticText shape(const Key& key) {
    QString text = key.fit == Fit::Elided
                       ? QFontMetricsF(key.font).elidedText(key.text, Qt::ElideRight, key.width)
                       : key.text;
    text.replace(QLatin1Char('\n'), QChar::LineSeparator); // alone it would not break the line
    QStaticText shaped(text);
    shaped.setTextFormat(Qt::PlainText);
    QTextOption option;
    option.setWrapMode(key.fit == Fit::Wrapped ? QTextOption::WordWrap : QTextOption::NoWrap);
    option.setAlignment(Qt::Alignment(key.aligned));
    shaped.setTextOption(option);
    if (key.fit == Fit::Wrapped) {
        shaped.setTextWidth(key.width);
    }
    shaped.prepare({}, key.font);
    return shaped;
}

const QStaticText& shapedOnce(const Key& key) {
    static QCache<Key, QStaticText> kept(kKept);
    if (const QStaticText* known = kept.object(key)) {
        return *known;
    }
    auto* made = new QStaticText(shape(key)); // the cache's own
    kept.insert(key, made);
    return *made;
}

/// Without what the last line leaves to one below it.
QSizeF sizeOf(const QStaticText& text, const QFont& font) {
    return {text.size().width(), text.size().height() - std::max(0.0, QFontMetricsF(font).leading())};
}

void drawAt(QPainter& painter, const QRectF& box, const QStaticText& text, int flags) {
    const QSizeF size = sizeOf(text, painter.font());
    QPointF at = box.topLeft();
    if ((flags & Qt::AlignHCenter) != 0) {
        at.rx() += (box.width() - size.width()) / 2.0;
    } else if ((flags & Qt::AlignRight) != 0) {
        at.rx() += box.width() - size.width();
    }
    if ((flags & Qt::AlignVCenter) != 0) {
        at.ry() += (box.height() - size.height()) / 2.0;
    } else if ((flags & Qt::AlignBottom) != 0) {
        at.ry() += box.height() - size.height();
    }
    painter.drawStaticText(QPointF(at.x(), std::round(at.y())), text);
}

} // namespace

void drawElided(QPainter& painter, const QRectF& box, const QString& text, int flags) {
    drawAt(painter, box, shapedOnce({painter.font(), text, static_cast<int>(box.width()), Fit::Elided}),
           flags);
}

void drawWords(QPainter& painter, const QRectF& box, const QString& text, int flags) {
    drawAt(painter, box, shapedOnce({painter.font(), text, kAnyWidth, Fit::Whole}), flags);
}

void drawWrapped(QPainter& painter, const QRectF& box, const QString& text, int flags) {
    const int across = flags & Qt::AlignHorizontal_Mask;
    drawAt(painter, box,
           shapedOnce({painter.font(), text, static_cast<int>(box.width()), Fit::Wrapped,
                       across != 0 ? across : static_cast<int>(Qt::AlignLeft)}),
           flags & ~Qt::AlignHorizontal_Mask);
}

double wordsWidth(const QString& text, const QFont& font) {
    return shapedOnce({font, text, kAnyWidth, Fit::Whole}).size().width();
}

double wrappedHeight(const QString& text, double width, const QFont& font) {
    return sizeOf(shapedOnce({font, text, static_cast<int>(width), Fit::Wrapped}), font).height();
}

} // namespace anodex::app
