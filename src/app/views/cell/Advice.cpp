#include "app/views/cell/Advice.h"

#include "app/session/ShelfBook.h"
#include "app/widgets/Draw.h"
#include "app/widgets/Listed.h"
#include "wording/ChangeText.h"
#include "wording/FindingText.h"
#include "wording/Quantities.h"

#include <QFontMetricsF>
#include <algorithm>

namespace anodex::app {
namespace {

struct Figure {
    shelf::RankBy by;
    const char* title;
};

constexpr std::size_t kShown = 5;

constexpr Figure kFigures[] = {
    {shelf::RankBy::SteadyPower, QT_TRANSLATE_NOOP("Advice", "What would help: power")},
    {shelf::RankBy::Voltage, QT_TRANSLATE_NOOP("Advice", "What would help: voltage")},
    {shelf::RankBy::Life, QT_TRANSLATE_NOOP("Advice", "What would help: life")}};

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

/// A change of what was left to its default reads as a change of the default.
std::string wordsFor(design::CellDesign before, design::CellDesign after, const design::Cell& cell) {
    const auto state = [](auto& one, auto& other, double value) {
        if (!one && other) {
            one = value;
        }
    };
    state(before.gapMetres, after.gapMetres, cell.gapMetres);
    state(before.contactOhm, after.contactOhm, cell.contactOhm);
    state(before.temperatureKelvin, after.temperatureKelvin, cell.temperatureKelvin);
    for (const design::Side side : {design::Side::Negative, design::Side::Positive}) {
        state(before.electrode(side).thicknessMetres, after.electrode(side).thicknessMetres,
              cell.electrode(side).thicknessMetres);
        // A mass goes with the sheet it was weighed on.
        before.electrode(side).massKg.reset();
        after.electrode(side).massKg.reset();
    }
    return wording::changeLine(before, after);
}

/// "×2.1" for much, "+8 %" for little.
QString gain(const shelf::Change& change) {
    if (change.before <= 0.0) {
        return Advice::tr("from 0");
    }
    const double ratio = change.after / change.before;
    if (ratio >= 1000.0) {
        return Advice::tr("over ×1000");
    }
    return ratio >= 2.0 ? QStringLiteral("×%1").arg(q(wording::numberText(ratio, 2)))
                        : QStringLiteral("+%1\u00A0%").arg(q(wording::numberText(100.0 * (ratio - 1.0), 2)));
}

QFont headFont() {
    return Theme::font(1.05, true);
}

double worthWidth(const QString& worth) {
    return wordsWidth(worth, Theme::font(0.95, true)) + Theme::em(0.6);
}

/// Of the words of a change beside what it is worth, on as many lines as they take.
double namesHeight(const QString& name, const QString& worth, double across) {
    return std::max(Theme::em(1.25), wrappedHeight(name, across - worthWidth(worth), Theme::font(0.95)));
}

} // namespace

Advice::Advice(Workbench& bench, const Theme& theme, QWidget* parent)
    : Picture(tr("What would help most"), parent), m_bench(bench), m_theme(theme) {
    setObjectName(QStringLiteral("advice"));
    onChange(bench, this, Part::Design, &Advice::seek);
    connect(&theme, &Theme::changed, this, &Advice::rebuild);
    connect(this, &Picture::resized, this, &Advice::rebuild);
    connect(this, &Picture::shown, this, &Advice::seek);
    connect(this, &Picture::activated, this, &Advice::activate);
    connect(&m_worker, &AdviceWorker::finished, this, &Advice::take);
}

void Advice::seek() {
    if (isVisible() && m_bench.draft().outcome().usable()) {
        m_seeking = true;
        m_worker.request(m_bench.catalogueHandle(), m_bench.draft().design(),
                         {kFigures[m_figure].by, kShown, shelfIn(m_bench), m_riskyToo});
    }
    rebuild();
}

void Advice::take(const design::CellDesign& design, const std::vector<shelf::Change>& changes) {
    if (design == m_bench.draft().design()) {
        m_changes = changes;
        m_seeking = false;
        rebuild();
    }
}

void Advice::activate(const QString& id) {
    if (id == QLatin1String("figure")) {
        m_figure = (m_figure + 1) % std::size(kFigures);
        m_changes.clear();
        seek();
        return;
    }
    if (id == QLatin1String("risky")) {
        m_riskyToo = !m_riskyToo;
        m_changes.clear();
        seek();
        return;
    }
    const auto index = static_cast<std::size_t>(id.section(QLatin1Char(':'), 1).toInt());
    if (!m_seeking && index < m_changes.size()) {
        m_bench.edit(m_changes[index].design);
    }
}

PictureItem Advice::head(double across) const {
    PictureItem item;
    item.id = QStringLiteral("figure");
    item.area = QRectF(Theme::em(0.8), Theme::em(0.3), across, Theme::em(1.8));
    item.role = QAccessible::Button;
    item.name = tr(kFigures[m_figure].title);
    item.tooltip = tr("Click for power, voltage or life.");
    item.paint = [area = item.area, words = headText(), this](QPainter& painter) {
        painter.setPen(m_theme.colours().ink);
        painter.setFont(headFont());
        drawElided(painter, area, words);
    };
    return item;
}

QString Advice::headText() const {
    return tr(kFigures[m_figure].title) + QStringLiteral(" ▾");
}

PictureItem Advice::riskSwitch(const QRectF& head) const {
    PictureItem item;
    item.id = QStringLiteral("risky");
    item.role = QAccessible::CheckBox;
    item.name = tr("risky too");
    item.value = m_riskyToo ? tr("yes") : tr("no");
    const QFont font = Theme::font(0.9);
    const double box = Theme::em(0.9);
    const double wide = QFontMetricsF(font).horizontalAdvance(item.name) + 1.6 * box;
    item.area = QRectF(head.right() - wide, head.top(), wide, head.height());
    item.tooltip = tr("Shows also what brings a danger that this design does not have.");
    item.paint = [=, this, area = item.area, name = item.name, on = m_riskyToo](QPainter& painter) {
        const Colours& c = m_theme.colours();
        painter.setPen(QPen(c.ink, 1.2));
        const QRectF square(area.left(), area.center().y() - 0.5 * box, box, box);
        painter.drawRect(square);
        if (on) {
            painter.fillRect(square.adjusted(3, 3, -2, -2), c.ink);
        }
        painter.setFont(font);
        drawElided(painter, area.adjusted(1.4 * box, 0, 0, 0), name);
    };
    return item;
}

QString Advice::nameOf(const shelf::Change& change) const {
    return q(wordsFor(m_bench.draft().design(), change.design, *m_bench.draft().outcome().cell));
}

double Advice::rowHeight(const shelf::Change& change, double across) const {
    return namesHeight(nameOf(change), gain(change), across) + Theme::em(change.danger ? 1.35 : 0.35);
}

PictureItem Advice::row(std::size_t index, const QRectF& area) const {
    const shelf::Change& change = m_changes[index];
    PictureItem item;
    item.id = QStringLiteral("change:%1").arg(index);
    item.area = area;
    item.role = QAccessible::Button;
    item.name = nameOf(change);
    item.value = gain(change);
    item.tooltip =
        tr("%1: %2. Click to make it so; undo brings this design back.").arg(item.name, item.value);
    if (change.danger) {
        item.tooltip += QStringLiteral("\n") + q(wording::findingText(*change.danger).text);
        item.value =
            listed({item.value, tr("new danger: %1").arg(q(wording::findingText(*change.danger).title))});
    }
    item.paint = [=, this, name = item.name, worth = gain(change),
                  danger = change.danger](QPainter& painter) {
        const Colours& c = m_theme.colours();
        const double text = namesHeight(name, worth, area.width());
        const double room = worthWidth(worth);
        painter.setPen(c.ink);
        painter.setFont(Theme::font(0.95));
        drawWrapped(painter, QRectF(area.left(), area.top(), area.width() - room, text), name);
        painter.setFont(Theme::font(0.95, true));
        drawWords(painter, QRectF(area.right() - room, area.top(), room, Theme::em(1.25)), worth,
                  Qt::AlignRight | Qt::AlignVCenter);
        if (danger) {
            painter.setPen(c.danger);
            painter.setFont(Theme::font(0.85));
            drawElided(painter, QRectF(area.left(), area.top() + text, area.width(), Theme::em(1.1)),
                       tr("new danger: %1").arg(q(wording::findingText(*danger).title)));
        }
        painter.setPen(c.rule);
        painter.drawLine(area.bottomLeft(), area.bottomRight());
    };
    return item;
}

void Advice::rebuild() {
    if (!isVisible()) {
        return;
    }
    setFocusColour(m_theme.colours().focus);
    std::vector<PictureItem> items;
    if (m_bench.draft().outcome().usable()) {
        const double pad = Theme::em(0.8);
        const double across = width() - 2 * pad;
        QRectF line(pad, Theme::em(0.3), across, Theme::em(1.8));
        PictureItem risky = riskSwitch(line);
        const double beside = across - risky.area.width() - Theme::em(0.6);
        const bool fits = wordsWidth(headText(), headFont()) <= beside;
        items.push_back(head(fits ? beside : across));
        if (!fits) {
            line.moveTop(line.bottom());
            risky = riskSwitch(line);
        }
        items.push_back(risky);
        double y = line.bottom();
        if (m_seeking || m_changes.empty()) {
            PictureItem note;
            note.id = QStringLiteral("note");
            note.area = QRectF(pad, y, across, Theme::em(1.4));
            note.role = QAccessible::StaticText;
            note.name = m_seeking ? tr("Trying a hundred changes …")
                                  : tr("Nothing from a kitchen or a tool shop helps by a hundredth.");
            note.focusable = false;
            note.paint = [area = note.area, name = note.name, this](QPainter& painter) {
                painter.setPen(m_theme.colours().faint);
                painter.setFont(Theme::font(0.95));
                drawElided(painter, area, name);
            };
            items.push_back(std::move(note));
        }
        for (std::size_t i = 0; i < m_changes.size() && !m_seeking; ++i) {
            const double tall = rowHeight(m_changes[i], across);
            if (y + tall > height()) {
                break;
            }
            items.push_back(row(i, QRectF(pad, y, across, tall - 3)));
            y += tall;
        }
    }
    setItems(std::move(items));
}

} // namespace anodex::app
