#include "app/views/notebook/FamilyChoice.h"

#include "app/session/Starters.h"
#include "wording/Texts.h"

#include <QMenu>
#include <algorithm>
#include <map>

namespace anodex::app {
namespace {

QString nameOf(const std::string& family) {
    return QString::fromStdString(wording::text("choice.family." + family));
}

} // namespace

FamilyChoice::FamilyChoice(Workbench& bench, QWidget* parent) : QPushButton(parent), m_bench(bench) {
    setObjectName(QStringLiteral("familyChoice"));
    setProperty("quiet", true);
    setMenu(new QMenu(this));
    connect(menu(), &QMenu::aboutToShow, this, &FamilyChoice::fill);
    onChange(bench, this, Part::Revisions | Part::Place | Part::File, &FamilyChoice::follow);
    choose({});
}

void FamilyChoice::fill() {
    std::map<std::size_t, std::pair<std::string, int>> kinds; // by the order they are told in
    for (const record::Revision& revision : m_bench.contents().revisions) {
        if (!revision.setAside) {
            const std::string family = familyOf(revision.design);
            auto& [name, count] = kinds[placeOfFamily(family)];
            name = family;
            ++count;
        }
    }
    menu()->clear();
    const auto add = [this](const QString& text, const std::string& family) {
        QAction* action = menu()->addAction(text, this, [this, family] { choose(family); });
        action->setCheckable(true);
        action->setChecked(family == m_family);
    };
    add(tr("All kinds"), {});
    for (const auto& [place, kind] : kinds) {
        add(tr("%1 (%n designs)", nullptr, kind.second).arg(nameOf(kind.first)), kind.first);
    }
}

void FamilyChoice::follow() {
    const record::Revision* at = m_bench.selection().revision();
    const auto before = std::exchange(m_atHand, at != nullptr ? std::pair(at->id, familyOf(at->design))
                                                              : std::pair<record::Id, std::string>());
    if (m_atHand != before && !m_family.empty() && m_atHand.second != m_family) {
        choose({});
    }
}

void FamilyChoice::choose(const std::string& family) {
    m_family = family;
    const QString shown = family.empty() ? tr("all kinds") : nameOf(family);
    setText(shown);
    setToolTip(family.empty() ? tr("Cells of every kind are shown.")
                              : tr("Only cells of this kind are shown."));
    setAccessibleName(tr("Kind: %1").arg(shown));
    emit chosen(QString::fromStdString(family));
}

} // namespace anodex::app
