#include "app/views/notebook/Doors.h"

#include "core/chemistry/NameLookup.h"
#include "formats/CellFile.h"
#include "formats/EmbeddedData.h"

#include <QLabel>
#include <QMenu>
#include <QPushButton>
#include <QVBoxLayout>

namespace anodex::app {

Doors::Doors(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("doors"));
    auto* title = new QLabel(tr("What shall it be made of?"), this);
    title->setFont(Theme::font(1.8, true));
    auto* hint = new QLabel(
        tr("Nothing is written down yet. Choose a door; the first change makes a notebook by itself."), this);
    hint->setObjectName(QStringLiteral("faint"));
    hint->setWordWrap(true);
    hint->setAlignment(Qt::AlignCenter);
    hint->setFixedWidth(static_cast<int>(Theme::em(34.0)));
    auto* first = new QPushButton(tr("Start from two metals"), this);
    first->setObjectName(QStringLiteral("doorFirst"));
    auto* starter = new QPushButton(tr("Open a starter cell"), this);
    starter->setObjectName(QStringLiteral("doorStarter"));
    auto* demo = new QPushButton(tr("Look at the demo"), this);
    demo->setObjectName(QStringLiteral("doorDemo"));
    auto* menu = new QMenu(starter);
    for (const formats::EmbeddedFile& file : formats::embeddedFiles()) {
        if (!file.name.starts_with("starters/")) {
            continue;
        }
        if (const auto design = formats::readCellFile(file.content)) {
            const QString name =
                QString::fromUtf8(file.name.data(), static_cast<qsizetype>(file.name.size()));
            menu->addAction(QString::fromStdString(design->name), this,
                            [this, name] { emit starterAsked(name); });
        }
    }
    starter->setMenu(menu);
    connect(first, &QPushButton::clicked, this, &Doors::firstCellAsked);
    connect(demo, &QPushButton::clicked, this, &Doors::demoAsked);
    auto* layout = new QVBoxLayout(this);
    layout->addStretch(2);
    layout->addWidget(title, 0, Qt::AlignHCenter);
    layout->addWidget(hint, 0, Qt::AlignHCenter);
    layout->addSpacing(static_cast<int>(Theme::em(1.0)));
    for (QPushButton* door : {first, starter, demo}) {
        door->setFont(Theme::font(1.25));
        door->setMinimumSize(static_cast<int>(Theme::em(20.0)), static_cast<int>(Theme::em(3.2)));
        layout->addWidget(door, 0, Qt::AlignHCenter);
    }
    layout->addStretch(3);
}

} // namespace anodex::app
