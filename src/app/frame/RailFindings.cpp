// The rail's lower part: the worst finding with what to do about it, the others by name, each with its page.
#include "app/frame/Rail.h"
#include "app/widgets/Draw.h"
#include "wording/FindingText.h"
#include "wording/handbook/Handbook.h"

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

} // namespace

void Rail::askPage(std::size_t finding) {
    if (finding < outcome().findings.size()) {
        emit pageAsked(q(wording::handbookPlace(outcome().findings[finding])));
    }
}

/// Opens the page about the worst finding.
PictureItem Rail::pageLink(const QRectF& area, const QString& title) const {
    PictureItem link;
    link.id = QStringLiteral("readFinding");
    link.area = area;
    link.role = QAccessible::Link;
    link.name = tr("Read about it: %1").arg(title);
    link.tooltip = tr("Read about it in the handbook");
    link.paint = [this, area](QPainter& painter) {
        QFont font = Theme::font(0.92);
        font.setUnderline(true);
        painter.setPen(m_theme.colours().focus);
        painter.setFont(font);
        drawElided(painter, area, tr("Read about it"));
    };
    return link;
}

double Rail::addFinding(std::vector<PictureItem>& items, double y) const {
    const auto& findings = outcome().findings;
    if (findings.empty()) {
        return y;
    }
    const findings::Finding worst = findings.front();
    const wording::FindingText words = wording::findingText(worst);
    const double inner = width() - Theme::em(2.6);
    const QFont small = Theme::font(0.92);
    const double textTall = wrappedHeight(q(words.text), inner, small);
    const double remedyTall = wrappedHeight(q(words.remedy), inner, small);
    const QRectF box(Theme::em(0.6), y, width() - Theme::em(1.2), textTall + remedyTall + Theme::em(4.7));
    PictureItem card;
    card.id = QStringLiteral("finding");
    card.area = box;
    card.role = QAccessible::AlertMessage;
    card.name = q(words.title);
    card.value = q(words.text);
    card.tooltip = q(words.text);
    card.paint = [=, this](QPainter& painter) {
        const Colours& c = m_theme.colours();
        painter.setPen(QPen(severityColour(worst.severity, c), 1.5));
        painter.setBrush(c.paper);
        painter.drawRoundedRect(box, 5, 5);
        drawSeverity(painter, {box.left() + Theme::em(1.0), box.top() + Theme::em(0.95)}, Theme::em(0.55),
                     worst.severity, c);
        painter.setPen(c.ink);
        painter.setFont(Theme::font(1.0, true));
        drawElided(painter,
                   QRectF(box.left() + Theme::em(1.9), box.top() + Theme::em(0.3),
                          box.width() - Theme::em(2.4), Theme::em(1.3)),
                   q(words.title));
        painter.setFont(small);
        drawWrapped(painter,
                    QRectF(box.left() + Theme::em(0.7), box.top() + Theme::em(1.7), inner, textTall + 2),
                    q(words.text));
    };
    items.push_back(std::move(card));
    const QRectF button(box.left() + Theme::em(0.4), box.top() + Theme::em(2.0) + textTall,
                        box.width() - Theme::em(0.8), remedyTall + Theme::em(0.8));
    PictureItem remedy;
    remedy.id = QStringLiteral("remedy");
    remedy.area = button;
    remedy.role = QAccessible::Button;
    remedy.name = q(words.remedy);
    remedy.tooltip = tr("Go to where this is changed");
    remedy.paint = [=, this](QPainter& painter) {
        const Colours& c = m_theme.colours();
        painter.setPen(QPen(c.rule, 1.0));
        painter.setBrush(c.sheet);
        painter.drawRoundedRect(button, 4, 4);
        painter.setPen(c.ink);
        painter.setFont(small);
        drawWrapped(painter, button.adjusted(Theme::em(0.3), 0, -Theme::em(0.3), 0), q(words.remedy),
                    Qt::AlignLeft | Qt::AlignVCenter);
    };
    items.push_back(std::move(remedy));
    items.push_back(pageLink({box.left() + Theme::em(0.7), button.bottom() + Theme::em(0.2),
                              box.width() - Theme::em(1.4), Theme::em(1.3)},
                             q(words.title)));
    double below = box.bottom() + Theme::em(0.3);
    for (std::size_t i = 1; i < findings.size(); ++i) {
        below = addOther(items, i, below);
    }
    return below;
}

/// What is found besides the worst: its title, which opens its page.
double Rail::addOther(std::vector<PictureItem>& items, std::size_t index, double y) const {
    const findings::Finding& finding = outcome().findings[index];
    const wording::FindingText words = wording::findingText(finding);
    PictureItem other;
    other.id = QStringLiteral("finding:%1").arg(index);
    other.area = QRectF(Theme::em(0.6), y, width() - Theme::em(1.2), Theme::em(1.6));
    other.role = QAccessible::Button;
    other.name = q(words.title);
    other.value = q(words.text);
    other.tooltip = q(words.text) + QStringLiteral("\n") + q(words.remedy) + QStringLiteral("\n") +
                    tr("Click to read about it.");
    other.paint = [this, area = other.area, severity = finding.severity,
                   words = other.name](QPainter& painter) {
        const Colours& c = m_theme.colours();
        drawSeverity(painter, {area.left() + Theme::em(1.0), area.center().y()}, Theme::em(0.4), severity, c);
        painter.setPen(c.ink);
        painter.setFont(Theme::font(0.92));
        drawElided(painter, area.adjusted(Theme::em(1.9), 0, 0, 0), words);
    };
    const double bottom = other.area.bottom();
    items.push_back(std::move(other));
    return bottom;
}

} // namespace anodex::app
