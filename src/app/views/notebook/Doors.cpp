#include "app/views/notebook/Doors.h"

#include "core/chemistry/NameLookup.h"
#include "formats/CellFile.h"
#include "formats/EmbeddedData.h"

#include <QLabel>
#include <QMenu>
#include <QPushButton>
#include <QVBoxLayout>
#include <map>
#include <utility>

namespace anodex::app {
namespace {

/// "a, b and c": what the first starter is made of.
QString firstAnswers() {
    const auto design = formats::readCellFile(formats::embeddedFile("starters/first.cell.json"));
    return design ? Doors::tr("%1, %2 and %3")
                        .arg(QString::fromStdString(design->negative.material),
                             QString::fromStdString(design->positive.material),
                             QString::fromStdString(design->liquid.ready))
                  : QString();
}

} // namespace

/// One entry a starter cell, under the kind of cell it is.
QMenu* Doors::starterMenu(QWidget* parent) {
    auto* menu = new QMenu(parent);
    std::map<QString, QMenu*> kinds;
    for (const formats::EmbeddedFile& file : formats::embeddedFiles()) {
        const auto design = file.name.starts_with("starters/") ? formats::readCellFile(file.content)
                                                               : tl::unexpected(formats::FileError{});
        if (!design) {
            continue;
        }
        const QString kind = QString::fromStdString(design->family.empty() ? "other" : design->family);
        QMenu*& below = kinds[kind];
        if (below == nullptr) {
            below = menu->addMenu(kind);
        }
        const QString name = QString::fromUtf8(file.name.data(), static_cast<qsizetype>(file.name.size()));
        below->addAction(QString::fromStdString(design->name), this,
                         [this, name] { emit starterAsked(name); });
    }
    return menu;
}

Doors::Doors(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("doors"));
    auto* title = new QLabel(tr("What shall it be made of?"), this);
    title->setFont(Theme::font(1.8, true));
    const auto faint = [this](const QString& words) {
        auto* label = new QLabel(words, this);
        label->setObjectName(QStringLiteral("faint"));
        label->setWordWrap(true);
        label->setAlignment(Qt::AlignCenter);
        return label;
    };
    auto* first = new QPushButton(tr("Start from two metals"), this);
    first->setObjectName(QStringLiteral("doorFirst"));
    auto* starter = new QPushButton(tr("Open a starter cell"), this);
    starter->setObjectName(QStringLiteral("doorStarter"));
    auto* demo = new QPushButton(tr("Look at the demo"), this);
    demo->setObjectName(QStringLiteral("doorDemo"));
    starter->setMenu(starterMenu(starter));
    connect(first, &QPushButton::clicked, this, &Doors::firstCellAsked);
    connect(demo, &QPushButton::clicked, this, &Doors::demoAsked);
    auto* layout = new QVBoxLayout(this);
    layout->addStretch(2);
    layout->addWidget(title, 0, Qt::AlignHCenter);
    // Without an alignment of its own in the layout, a wrapped line gets the height it needs.
    layout->addWidget(faint(tr("Nothing is written down yet; the first change makes a notebook by itself.")));
    const std::pair<QPushButton*, QString> doors[] = {
        {first, tr("%1 are already answered; change what you like").arg(firstAnswers())},
        {starter, tr("one of each kind, ready to change to what you have")},
        {demo, tr("a jar in three revisions, with readings and runs, to look around in")}};
    for (const auto& [door, words] : doors) {
        layout->addSpacing(static_cast<int>(Theme::em(0.9)));
        door->setFont(Theme::font(1.25));
        door->setMinimumSize(static_cast<int>(Theme::em(20.0)), static_cast<int>(Theme::em(3.2)));
        layout->addWidget(door, 0, Qt::AlignHCenter);
        layout->addWidget(faint(words));
    }
    layout->addStretch(3);
}

} // namespace anodex::app
