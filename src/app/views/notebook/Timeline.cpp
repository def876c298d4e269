#include "app/views/notebook/Timeline.h"

#include "app/session/Starters.h"
#include "app/widgets/Draw.h"
#include "wording/ChangeText.h"
#include "wording/Quantities.h"
#include "wording/Texts.h"

#include <QRegularExpression>
#include <algorithm>

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

double leftMargin() {
    return Theme::em(4.2);
}
double headHeight() {
    return Theme::em(2.6);
}

/// What a design is found by: its name, family, metals and what is in its liquids.
QStringList wordsOf(const record::Revision& revision) {
    const design::CellDesign& design = revision.design;
    QString words = q(revision.name + " " + design.family);
    for (const design::ElectrodeDesign* electrode : {&design.negative, &design.positive}) {
        words += QLatin1Char(' ') + q(electrode->material.written);
    }
    const auto addLiquid = [&](const design::LiquidDesign& liquid) {
        words += QLatin1Char(' ') + q(liquid.ready.written);
        for (const auto& solute : liquid.solutes) {
            words += QLatin1Char(' ') + q(solute.substance.written);
        }
    };
    addLiquid(design.liquid);
    if (design.positiveLiquid) {
        addLiquid(*design.positiveLiquid);
    }
    static const QRegularExpression kBetween(QStringLiteral("\\W+"),
                                             QRegularExpression::UseUnicodePropertiesOption);
    return words.split(kBetween, Qt::SkipEmptyParts);
}

} // namespace

double Timeline::footHeight() {
    return Theme::em(3.6);
}

const Timeline::Mark* Timeline::Column::best() const {
    const auto reached = [](const Mark& mark) { return mark.measured.value_or(mark.expected); };
    const auto found = std::max_element(
        marks.begin(), marks.end(), [&](const Mark& a, const Mark& b) { return reached(a) < reached(b); });
    return found == marks.end() ? nullptr : &*found;
}

Timeline::Timeline(Workbench& bench, const Theme& theme, QWidget* parent)
    : Picture(tr("Timeline of revisions and builds"), parent), m_bench(bench), m_theme(theme) {
    setObjectName(QStringLiteral("timeline"));
    onChange(bench, this, kContent, &Timeline::rebuild); // own entries change what is expected
    connect(&theme, &Theme::changed, this, &Timeline::rebuild);
    connect(this, &Picture::resized, this, &Timeline::rebuild);
    connect(this, &Picture::shown, this, &Timeline::rebuild);
    connect(this, &Picture::activated, this, [this](const QString& id) {
        if (id.startsWith(QLatin1String("rev:"))) {
            emit revisionChosen(id.mid(4));
        } else if (id.startsWith(QLatin1String("build:"))) {
            emit buildChosen(id.mid(6));
        } else if (id == QLatin1String("begin")) {
            emit beginAsked();
        }
    });
    connect(this, &Picture::editRequested, this, &Timeline::opened);
}

void Timeline::setFigure(Figure figure) {
    m_figure = figure;
    rebuild();
}

void Timeline::setFilter(const QString& words) {
    m_words = words.split(QLatin1Char(' '), Qt::SkipEmptyParts);
    rebuild();
}

void Timeline::setFamily(const QString& family) {
    m_family = family.toStdString();
    rebuild();
}

bool Timeline::isWanted(const record::Revision& revision) const {
    const record::Project* narrowed = m_bench.selection().project();
    if (revision.setAside || (narrowed != nullptr && narrowed->id != revision.project) ||
        (!m_family.empty() && familyOf(revision.design) != m_family)) {
        return false;
    }
    const QStringList words = m_words.isEmpty() ? QStringList() : wordsOf(revision);
    return std::all_of(m_words.begin(), m_words.end(), [&](const QString& typed) {
        return std::any_of(words.begin(), words.end(),
                           [&](const QString& word) { return word.startsWith(typed, Qt::CaseInsensitive); });
    });
}

/// A line after the other, each in the order it grew.
std::vector<const record::Revision*> Timeline::revisions() const {
    std::map<record::Id, std::size_t> lines; // of a revision, the place of the one its line began with
    std::vector<std::pair<std::size_t, const record::Revision*>> found;
    const auto& all = m_bench.contents().revisions;
    for (std::size_t i = 0; i < all.size(); ++i) {
        const auto parent = lines.find(all[i].parent);
        const std::size_t line = parent != lines.end() ? parent->second : i;
        lines[all[i].id] = line;
        if (isWanted(all[i])) {
            found.emplace_back(line, &all[i]);
        }
    }
    std::stable_sort(found.begin(), found.end(),
                     [](const auto& a, const auto& b) { return a.first < b.first; });
    std::vector<const record::Revision*> ordered;
    ordered.reserve(found.size());
    for (const auto& [line, revision] : found) {
        ordered.push_back(revision);
    }
    return ordered;
}

QSize Timeline::minimumSizeHint() const {
    return {static_cast<int>(leftMargin() +
                             Theme::em(9.5) * std::max<double>(1.0, static_cast<double>(revisions().size()))),
            static_cast<int>(Theme::em(16.0))};
}

/// Worked out once for a design as it is, on the catalogue as it is; nothing when it cannot be used.
std::optional<double> Timeline::expectedOf(const record::Revision& revision) const {
    Unbuilt& known = m_unbuilt[revision.id];
    if (known.catalogue != m_bench.catalogueHandle() || known.design != revision.design) {
        known = {m_bench.catalogueHandle(), revision.design, {}};
        if (const Outcome outcome = outcomeOf(known.catalogue, revision.design); outcome.usable()) {
            const cell::Evaluation& e = *outcome.evaluation;
            known.figures = {e.openCircuitVolts, e.first.shortCircuitAmps, e.first.maximumPower.watts,
                             e.capacity.expectedCoulombs};
        }
    }
    return known.figures ? std::optional((*known.figures)[static_cast<std::size_t>(m_figure)]) : std::nullopt;
}

QString Timeline::shown(double value) const {
    switch (m_figure) {
    case Figure::OpenCircuit:
        return q(wording::quantityText(value, explain::Unit::Volt));
    case Figure::ShortCircuit:
        return q(wording::quantityText(value, explain::Unit::Ampere));
    case Figure::BestPower:
        return q(wording::quantityText(value, explain::Unit::Watt));
    case Figure::Capacity:
        return q(wording::chargeText(value));
    }
    return {};
}

/// As shown(), without zeros that say nothing.
QString Timeline::scaleText(double value) const {
    QString text = shown(value);
    const qsizetype blank = text.indexOf(QChar(0xA0));
    QString number = text.left(blank);
    while (number.contains(QLatin1Char('.')) &&
           (number.endsWith(QLatin1Char('0')) || number.endsWith(QLatin1Char('.')))) {
        number.chop(1);
    }
    return number + text.mid(blank);
}

Timeline::Mark Timeline::markOf(const BuildSummary& summary) const {
    const record::Expectation& expectation = summary.build.expectation;
    Mark mark;
    mark.build = &summary;
    const auto take = [&](const record::Expected& expected) {
        mark.expected = expected.value;
        mark.range = expected.range;
    };
    switch (m_figure) {
    case Figure::OpenCircuit:
        take(expectation.openCircuitVolts);
        mark.measured = summary.openCircuit ? std::optional(summary.openCircuit->value) : std::nullopt;
        break;
    case Figure::ShortCircuit:
        take(expectation.shortCircuitAmps);
        mark.measured = summary.shortCircuit ? std::optional(summary.shortCircuit->value) : std::nullopt;
        break;
    case Figure::BestPower:
        take(expectation.maximumWatts);
        mark.measured = summary.deliveredWatts();
        mark.atLeast = true;
        break;
    case Figure::Capacity:
        take(expectation.capacityCoulombs);
        mark.measured = summary.deliveredCoulombs();
        mark.atLeast = !summary.ranDown();
        break;
    }
    return mark;
}

double Timeline::columnWidth(std::size_t count) const {
    return (width() - leftMargin()) / std::max(1.0, static_cast<double>(count));
}

std::vector<Timeline::Column> Timeline::columns() const {
    std::vector<Column> list;
    for (const record::Revision* revision : revisions()) {
        Column column;
        column.revision = revision;
        for (const BuildSummary* summary : m_bench.contents().buildsOf(revision->id)) {
            column.marks.push_back(markOf(*summary));
        }
        if (column.marks.empty()) {
            column.expected = expectedOf(*revision);
        }
        list.push_back(std::move(column));
    }
    const double each = columnWidth(list.size());
    for (std::size_t i = 0; i < list.size(); ++i) {
        list[i].x = leftMargin() + each * (static_cast<double>(i) + 0.5);
        const auto count = static_cast<double>(list[i].marks.size());
        const double spread = std::min(Theme::em(6.5), each / (count + 1.0));
        for (std::size_t k = 0; k < list[i].marks.size(); ++k) {
            list[i].marks[k].x = list[i].x + (static_cast<double>(k) - 0.5 * (count - 1.0)) * spread;
            list[i].marks[k].crowded = k + 1 < list[i].marks.size();
        }
    }
    return list;
}

double Timeline::yOf(double value) const {
    const double bottom = height() - footHeight();
    return bottom - (bottom - headHeight()) * m_scale.shareOf(value);
}

void Timeline::paintLines(QPainter& painter) const {
    const Colours& c = m_theme.colours();
    for (const double value : m_scale.lines()) {
        painter.setPen(QPen(c.rule, 1.0, value == 0.0 ? Qt::SolidLine : Qt::DotLine));
        painter.drawLine(QPointF(leftMargin(), yOf(value)), QPointF(width(), yOf(value)));
    }
}

/// However far it is scrolled, the numbers stay at the left edge of what is seen, over what passes there.
void Timeline::paintNumbers(QPainter& painter) const {
    const Colours& c = m_theme.colours();
    painter.setFont(Theme::font(0.9));
    const QRect seen = visibleRegion().boundingRect();
    const double wide = leftMargin() - Theme::em(0.4);
    painter.fillRect(QRectF(seen.left(), 0, wide, height() - footHeight() + 5.0), c.paper);
    painter.setPen(c.faint);
    for (const double value : m_scale.lines()) {
        const QRectF label(seen.left(), yOf(value) - Theme::em(0.6), wide, Theme::em(1.2));
        painter.drawText(label, Qt::AlignRight | Qt::AlignVCenter, scaleText(value));
    }
}

void Timeline::addNothing(std::vector<PictureItem>& items) const {
    PictureItem none;
    none.id = QStringLiteral("none");
    none.area = QRectF(leftMargin(), headHeight(), width() - leftMargin(), Theme::em(2.0));
    none.name = !m_words.isEmpty()  ? tr("No design holds all of these words.")
                : !m_family.empty() ? tr("No cell of this kind here.")
                                    : tr("Nothing in this project yet. What you begin now stands here.");
    none.paint = [this, area = none.area, words = none.name](QPainter& painter) {
        painter.setPen(m_theme.colours().faint);
        drawElided(painter, area, words);
    };
    items.push_back(std::move(none));
    if (!m_words.isEmpty() || !m_family.empty()) {
        return;
    }
    PictureItem begin;
    begin.id = QStringLiteral("begin");
    begin.name = tr("Begin a design");
    begin.role = QAccessible::Button;
    begin.area = QRectF(leftMargin(), headHeight() + Theme::em(2.4),
                        wordsWidth(begin.name, Theme::font()) + Theme::em(2.0), Theme::em(2.4));
    begin.paint = [this, area = begin.area, words = begin.name](QPainter& painter) {
        painter.setPen(m_theme.colours().rule);
        painter.setBrush(m_theme.colours().sheet);
        painter.drawRoundedRect(area, 5, 5);
        painter.setPen(m_theme.colours().ink);
        painter.setFont(Theme::font());
        drawElided(painter, area, words, Qt::AlignCenter);
    };
    items.push_back(std::move(begin));
}

void Timeline::rebuild() {
    if (!isVisible()) {
        return; // shown() comes first
    }
    setFocusColour(m_theme.colours().focus);
    setMinimumSize(minimumSizeHint());
    const std::vector<Column> list = columns();
    std::vector<double> figures;
    for (const Column& column : list) {
        if (column.expected) {
            figures.push_back(*column.expected);
        }
        for (const Mark& mark : column.marks) {
            figures.insert(figures.end(),
                           {mark.expected, mark.range.high, mark.measured.value_or(mark.expected)});
        }
    }
    m_scale = TimelineScale(figures);
    std::vector<PictureItem> items;
    const double each = columnWidth(list.size());
    std::vector<QRectF> taken = takenBy(list);
    for (const Column& column : list) {
        const auto parent = std::find_if(list.begin(), list.end(), [&](const Column& other) {
            return other.revision->id == column.revision->parent;
        });
        if (parent != list.end()) {
            addBranch(items, *parent, column, taken);
        }
    }
    for (const Column& column : list) {
        addRevision(items, column, each);
        for (const Mark& mark : column.marks) {
            addMark(items, column, mark);
        }
        if (column.expected) {
            addExpected(items, column);
        }
    }
    if (list.empty()) {
        addNothing(items);
        setBackdrop({});
        setOverlay({});
    } else {
        setBackdrop([this](QPainter& painter) { paintLines(painter); });
        setOverlay([this](QPainter& painter) { paintNumbers(painter); });
    }
    setItems(std::move(items));
}

} // namespace anodex::app
