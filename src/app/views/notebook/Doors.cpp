#include "app/views/notebook/Doors.h"

#include "app/session/Starters.h"
#include "app/views/notebook/Gallery.h"
#include "app/widgets/picture/PictureScroll.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QScrollBar>
#include <QVBoxLayout>
#include <algorithm>
#include <memory>
#include <utility>
#include <vector>

namespace anodex::app {
namespace {

constexpr const char* kTwoMetals = "first"; // the starter with nothing but two metals and a liquid

design::CellDesign twoMetals() {
    const std::vector<Starter> all = starters();
    return std::find_if(all.begin(), all.end(),
                        [](const Starter& starter) { return starter.id == kTwoMetals; })
        ->design;
}

} // namespace

Doors::Doors(Workbench& bench, const Theme& theme, QWidget* parent)
    : QWidget(parent), m_gallery(new Gallery(bench, theme, this)), m_title(new QLabel(this)),
      m_words(new QLabel(this)) {
    setObjectName(QStringLiteral("doors"));
    m_title->setFont(Theme::font(1.4, true));
    m_words->setObjectName(QStringLiteral("faint"));
    m_words->setWordWrap(true);
    auto* row = new QHBoxLayout;
    QPushButton* first =
        addDoor(*row, "doorFirst", tr("Two metals"), tr("begin with the simplest and change what you like"));
    QPushButton* file =
        addDoor(*row, "doorFile", tr("A cell file…"), tr("a design that was saved, or that someone sent"));
    QPushButton* notebook = addDoor(*row, "doorNotebook", tr("Another notebook…"),
                                    tr("a design from a notebook that is not the open one"));
    m_copy =
        addDoor(*row, "doorCopy", tr("A copy of this one"), tr("a line of its own, from what it is now"));
    m_demo = addDoor(*row, "doorDemo", tr("Look at the demo"),
                     tr("cells of six kinds, with readings and runs, to look around in"));
    m_back = addDoor(*row, "doorBack", tr("Back to the notebook"), {});
    row->addStretch(1);
    connect(first, &QPushButton::clicked, this, [this] { emit starterAsked(twoMetals()); });
    connect(file, &QPushButton::clicked, this, &Doors::fileAsked);
    connect(notebook, &QPushButton::clicked, this, &Doors::notebookAsked);
    connect(m_copy, &QPushButton::clicked, this, &Doors::copyAsked);
    connect(m_demo, &QPushButton::clicked, this, &Doors::demoAsked);
    connect(m_back, &QPushButton::clicked, this, &Doors::backAsked);
    connect(m_gallery, &Gallery::starterChosen, this, &Doors::starterAsked);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->addWidget(m_title);
    layout->addWidget(m_words);
    layout->addLayout(row);
    m_orders = makeOrders();
    layout->addWidget(m_orders);
    m_scroll = new PictureScroll(m_gallery, this);
    layout->addWidget(m_scroll, 1);
    setAnother(false);
}

QPushButton* Doors::addDoor(QHBoxLayout& row, const char* name, const QString& words, const QString& hint) {
    auto* door = new QPushButton(words, this);
    door->setObjectName(QString::fromLatin1(name));
    door->setToolTip(hint);
    door->setAccessibleDescription(hint);
    row.addWidget(door);
    return door;
}

/// Not an exclusive group: Tab stops at each.
QWidget* Doors::makeOrders() {
    auto* line = new QWidget(this);
    auto* row = new QHBoxLayout(line);
    row->setContentsMargins(0, 0, 0, 0);
    auto* label = new QLabel(tr("Or one of these:"), line);
    row->addWidget(label);
    auto buttons = std::make_shared<std::vector<QPushButton*>>();
    const std::pair<QString, Gallery::Order> orders[] = {
        {tr("by kind"), Gallery::Order::ByFamily},
        {tr("fewest things first"), Gallery::Order::FewestThingsFirst},
        {tr("on my shelf first"), Gallery::Order::OnMyShelfFirst}};
    for (const auto& [words, order] : orders) {
        auto* button = new QPushButton(words, line);
        button->setCheckable(true);
        button->setChecked(order == Gallery::Order::ByFamily);
        button->setProperty("quiet", true);
        button->setObjectName(QStringLiteral("order:%1").arg(static_cast<int>(order)));
        buttons->push_back(button);
        connect(button, &QPushButton::clicked, this, [this, chosen = order, buttons, button] {
            for (QPushButton* one : *buttons) {
                one->setChecked(one == button);
            }
            m_gallery->setOrder(chosen);
        });
        row->addWidget(button);
    }
    row->addStretch(1);
    return line;
}

void Doors::begin() {
    showStarters();
    findChild<QPushButton*>(QStringLiteral("doorFirst"))->setFocus();
    m_scroll->verticalScrollBar()->setValue(0);
}

void Doors::showStarters() {
    if (m_orders->isHidden()) {
        m_orders->show();
        m_gallery->show(starters());
    }
}

void Doors::showOthers(const QString& notebook, std::vector<Starter> designs) {
    m_title->setText(tr("Designs of %1").arg(notebook));
    m_words->setText(designs.empty()
                         ? tr("There is none in it.")
                         : tr("The one that is chosen is copied here; that notebook stays as it is."));
    m_orders->hide();
    m_gallery->show(std::move(designs));
    m_gallery->setFocus();
}

void Doors::setAnother(bool another) {
    m_title->setText(another ? tr("What shall the next one be made of?") : tr("What shall it be made of?"));
    m_words->setText(another
                         ? tr("It begins a line of its own in this notebook; nothing that is there changes.")
                         : tr("Nothing is written down yet; the first change makes a notebook by itself."));
    m_copy->setVisible(another);
    m_demo->setVisible(!another);
    m_back->setVisible(another);
}

} // namespace anodex::app
