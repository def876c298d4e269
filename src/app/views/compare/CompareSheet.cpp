#include "app/views/compare/CompareSheet.h"

#include "app/widgets/Draw.h"
#include "app/widgets/Listed.h"
#include "wording/ChangeText.h"
#include "wording/Texts.h"

#include <algorithm>

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

QFont titleFont() {
    return Theme::font(0.95);
}

/// From zero to a little above everything that is shown of a figure.
double topOf(const std::vector<Compared>& versions, ComparedQuantity quantity) {
    double top = 1e-12;
    for (const Compared& version : versions) {
        const ComparedFigure& figure = version.figure(quantity);
        top = std::max(
            {top, figure.expected, figure.measured.value_or(0.0), figure.range ? figure.range->high : 0.0});
    }
    constexpr double kRoom = 1.08;
    return kRoom * top;
}

QString measuredText(ComparedQuantity quantity, const ComparedFigure& figure) {
    if (!figure.measured) {
        return {};
    }
    const QString value = comparedText(quantity, *figure.measured);
    return figure.atLeast ? CompareSheet::tr("at least %1").arg(value)
                          : CompareSheet::tr("measured %1").arg(value);
}

/// Where a column has no room for words; the diamond says what it is.
QString shortText(ComparedQuantity quantity, const ComparedFigure& figure) {
    if (!figure.measured) {
        return {};
    }
    const QString value = comparedText(quantity, *figure.measured);
    return figure.atLeast ? QStringLiteral("≥ ") + value : value;
}

QString differsTitle() {
    return CompareSheet::tr("What differs");
}

} // namespace

CompareSheet::CompareSheet(const Theme& theme, QWidget* parent)
    : Picture(tr("Versions side by side"), parent), m_theme(theme) {
    setObjectName(QStringLiteral("compareSheet"));
    connect(&theme, &Theme::changed, this, &CompareSheet::rebuild);
    connect(this, &Picture::resized, this, &CompareSheet::rebuild);
}

void CompareSheet::show(std::vector<Compared> versions) {
    m_versions = std::move(versions);
    rebuild();
}

QColor CompareSheet::colourOf(std::size_t index) const {
    const Colours& c = m_theme.colours();
    const QColor colours[] = {c.ink, c.note, c.warning, c.faint};
    return colours[index % std::size(colours)];
}

/// As the longest takes, but no more than leaves the versions their room.
double CompareSheet::widthForTitles() const {
    double widest = wordsWidth(differsTitle(), titleFont());
    for (std::size_t i = 0; i < kComparedQuantities; ++i) {
        widest = std::max(widest, wordsWidth(titleOf(static_cast<ComparedQuantity>(i)), titleFont()));
    }
    constexpr double kMostShare = 0.25;
    return std::max(Theme::em(6.6), std::min(widest + Theme::em(0.6), kMostShare * width()));
}

QRectF CompareSheet::cell(std::size_t column, double y, double height) const {
    const double wide =
        (width() - m_titleWidth) / std::max<double>(1.0, static_cast<double>(m_versions.size()));
    return {m_titleWidth + static_cast<double>(column) * wide, y, wide - Theme::em(0.8), height};
}

void CompareSheet::addTitle(std::vector<PictureItem>& items, const QString& title, double y) const {
    PictureItem item;
    item.id = QStringLiteral("title:") + title;
    item.area = QRectF(0, y, m_titleWidth - Theme::em(0.5), Theme::em(1.4));
    item.role = QAccessible::RowHeader;
    item.name = title;
    item.focusable = false;
    item.paint = [this, area = item.area, title](QPainter& painter) {
        painter.setPen(m_theme.colours().faint);
        painter.setFont(titleFont());
        drawElided(painter, area, title);
    };
    items.push_back(std::move(item));
}

double CompareSheet::addHeads(std::vector<PictureItem>& items, double y) const {
    const QFont font = Theme::font(1.1, true);
    double tallest = 0.0;
    for (std::size_t i = 0; i < m_versions.size(); ++i) {
        tallest = std::max(tallest, wrappedHeight(m_versions[i].name, cell(i, y, 0).width(), font));
    }
    const double height = tallest + Theme::em(1.2) + 6.0;
    for (std::size_t i = 0; i < m_versions.size(); ++i) {
        PictureItem head;
        head.id = QStringLiteral("head:%1").arg(i);
        head.area = cell(i, y, height);
        head.role = QAccessible::ColumnHeader;
        head.name = m_versions[i].name;
        head.value = m_versions[i].when;
        head.tooltip = head.name + QStringLiteral("\n") + head.value;
        head.paint = [this, area = head.area, name = head.name, when = head.value, font,
                      colour = colourOf(i)](QPainter& painter) {
            painter.fillRect(QRectF(area.left(), area.top(), area.width(), 3), colour);
            painter.setPen(m_theme.colours().ink);
            painter.setFont(font);
            drawWrapped(painter, area.adjusted(0, 5, 0, 0), name);
            painter.setPen(m_theme.colours().faint);
            painter.setFont(Theme::font(0.9));
            drawElided(painter,
                       QRectF(area.left(), area.bottom() - Theme::em(1.2), area.width(), Theme::em(1.2)),
                       when);
        };
        items.push_back(std::move(head));
    }
    return y + height + Theme::em(0.4);
}

double CompareSheet::addDifferences(std::vector<PictureItem>& items, double y) const {
    addTitle(items, differsTitle(), y);
    double most = 0.0;
    for (std::size_t i = 0; i < m_versions.size(); ++i) {
        QStringList lines;
        if (i == 0) {
            lines << tr("the others are held against this one");
        } else {
            for (const base::Said& one :
                 wording::changesBetween(m_versions.front().design, m_versions[i].design)) {
                lines << q(wording::text(one));
            }
            if (lines.isEmpty()) {
                lines << tr("nothing");
            }
        }
        PictureItem item;
        item.id = QStringLiteral("differs:%1").arg(i);
        item.role = QAccessible::StaticText;
        item.name = differsTitle();
        item.value = listed(lines);
        item.tooltip = lines.join(QLatin1Char('\n'));
        const QFont font = Theme::font(0.95);
        const QRectF place = cell(i, y, 0);
        const QString words = lines.join(QLatin1Char('\n'));
        const double tall = wrappedHeight(words, place.width(), font) + 2.0;
        item.area = QRectF(place.left(), y, place.width(), tall);
        item.paint = [this, area = item.area, words, font, first = i == 0](QPainter& painter) {
            painter.setPen(first ? m_theme.colours().faint : m_theme.colours().ink);
            painter.setFont(font);
            drawWrapped(painter, area, words);
        };
        most = std::max(most, tall);
        items.push_back(std::move(item));
    }
    return y + most + Theme::em(0.7);
}

double CompareSheet::addFigure(std::vector<PictureItem>& items, ComparedQuantity quantity, double y) const {
    addTitle(items, titleOf(quantity), y);
    const double top = topOf(m_versions, quantity);
    const double tall = Theme::em(2.9);
    for (std::size_t i = 0; i < m_versions.size(); ++i) {
        const ComparedFigure& figure = m_versions[i].figure(quantity);
        PictureItem item;
        item.id = QStringLiteral("figure:%1:%2").arg(static_cast<int>(quantity)).arg(i);
        item.area = cell(i, y, tall);
        item.role = QAccessible::Cell;
        item.name = titleOf(quantity) + QStringLiteral(", ") + m_versions[i].name;
        const QString expected = comparedText(quantity, figure.expected, figure.range);
        const QString measured = measuredText(quantity, figure);
        item.value = listed({tr("expected %1").arg(expected), measured});
        item.tooltip = item.value;
        const bool narrow = item.area.width() < Theme::em(12.5);
        item.paint = [this, area = item.area, figure, expected, top,
                      measured = narrow ? shortText(quantity, figure) : measured](QPainter& painter) {
            const Colours& c = m_theme.colours();
            const QRectF words(area.left(), area.top(), area.width(), Theme::em(1.4));
            painter.setPen(c.ink);
            painter.setFont(Theme::font(1.05, true));
            drawElided(painter, QRectF(words.left(), words.top(), words.width() * 0.5, words.height()),
                       expected);
            painter.setPen(c.focus);
            painter.setFont(Theme::font(0.9, true));
            drawElided(painter, words.adjusted(words.width() * 0.5, 0, 0, 0), measured,
                       Qt::AlignRight | Qt::AlignVCenter);
            const double line = area.top() + Theme::em(1.95);
            const auto at = [&](double value) {
                return area.left() + area.width() * std::clamp(value / top, 0.0, 1.0);
            };
            painter.setPen(QPen(c.rule, 1.0));
            painter.drawLine(QPointF(area.left(), line), QPointF(area.right(), line));
            if (figure.range) {
                painter.setPen(QPen(c.expected, 7.0, Qt::SolidLine, Qt::FlatCap));
                painter.drawLine(QPointF(at(figure.range->low), line),
                                 QPointF(std::max(at(figure.range->high), at(figure.range->low) + 2), line));
            }
            painter.setPen(QPen(c.ink, 2.0));
            painter.drawLine(QPointF(at(figure.expected), line - 7), QPointF(at(figure.expected), line + 7));
            if (figure.measured) {
                drawDiamond(painter, {at(*figure.measured), line}, 5.5, c.focus,
                            figure.atLeast ? Barb::Right : Barb::None);
            }
        };
        items.push_back(std::move(item));
    }
    return y + tall;
}

void CompareSheet::rebuild() {
    setFocusColour(m_theme.colours().focus);
    std::vector<PictureItem> items;
    if (!m_versions.empty()) {
        m_titleWidth = widthForTitles();
        double y = addHeads(items, 2.0);
        y = addDifferences(items, y);
        for (std::size_t i = 0; i < kComparedQuantities; ++i) {
            y = addFigure(items, static_cast<ComparedQuantity>(i), y);
        }
        setMinimumHeight(static_cast<int>(y));
        setMinimumWidth(
            static_cast<int>(m_titleWidth + Theme::em(8.5) * static_cast<double>(m_versions.size())));
    }
    setItems(std::move(items));
}

} // namespace anodex::app
