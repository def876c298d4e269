#include "app/frame/Drawer.h"

namespace anodex::app {
namespace {

void add(QMenu& menu, const std::vector<Deed>& deeds, Deed::Group group) {
    for (const Deed& deed : deeds) {
        if (deed.group == group) {
            const QString keys =
                deed.keys.isEmpty()
                    ? QString()
                    : QStringLiteral("\t") + deed.keys.front().toString(QKeySequence::NativeText);
            menu.addAction(deed.words + keys, deed.go)->setObjectName(deed.id);
        }
    }
}

} // namespace

void Drawer::fill(QMenu& menu, const std::vector<Deed>& deeds, const Theme& theme,
                  const std::function<void(ThemeChoice)>& setTheme, const std::function<void()>& quit) {
    add(menu, deeds, Deed::Group::Work);
    menu.addSeparator();
    add(menu, deeds, Deed::Group::Notebook);
    QMenu* recent = menu.addMenu(tr("Recent notebooks"));
    add(*recent, deeds, Deed::Group::Recent);
    recent->setEnabled(!recent->isEmpty());
    add(*menu.addMenu(tr("Mend")), deeds, Deed::Group::Mend);
    menu.addSeparator();
    add(menu, deeds, Deed::Group::Place);
    QMenu* look = menu.addMenu(tr("Look"));
    const std::pair<QString, ThemeChoice> choices[] = {{tr("Follow the desktop"), ThemeChoice::FollowDesktop},
                                                       {tr("Light"), ThemeChoice::Light},
                                                       {tr("Dark"), ThemeChoice::Dark}};
    for (const auto& [words, choice] : choices) {
        QAction* action = look->addAction(words, [=, chosen = choice] { setTheme(chosen); });
        action->setCheckable(true);
        action->setChecked(theme.choice() == choice);
    }
    menu.addSeparator();
    menu.addAction(tr("Quit"), quit);
}

} // namespace anodex::app
