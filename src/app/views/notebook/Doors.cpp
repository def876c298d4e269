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
                        .arg(QString::fromStdString(design->negative.material.written),
                             QString::fromStdString(design->positive.material.written),
                             QString::fromStdString(design->liquid.ready.written))
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

Doors::Doors(QWidget* parent)
    : QWidget(parent), m_title(new QLabel(this)), m_words(new QLabel(this)),
      m_demo(new QPushButton(tr("Look at the demo"), this)),
      m_back(new QPushButton(tr("Back to the notebook"), this)) {
    setObjectName(QStringLiteral("doors"));
    m_title->setFont(Theme::font(1.8, true));
    const auto faint = [](QLabel* label) {
        label->setObjectName(QStringLiteral("faint"));
        label->setWordWrap(true);
        label->setAlignment(Qt::AlignCenter);
        return label;
    };
    auto* first = new QPushButton(tr("Start from two metals"), this);
    first->setObjectName(QStringLiteral("doorFirst"));
    auto* starter = new QPushButton(tr("Open a starter cell"), this);
    starter->setObjectName(QStringLiteral("doorStarter"));
    auto* file = new QPushButton(tr("Open a cell file"), this);
    file->setObjectName(QStringLiteral("doorFile"));
    m_demo->setObjectName(QStringLiteral("doorDemo"));
    m_back->setObjectName(QStringLiteral("doorBack"));
    m_back->setProperty("quiet", true);
    starter->setMenu(starterMenu(starter));
    connect(first, &QPushButton::clicked, this, &Doors::firstCellAsked);
    connect(file, &QPushButton::clicked, this, &Doors::fileAsked);
    connect(m_demo, &QPushButton::clicked, this, &Doors::demoAsked);
    connect(m_back, &QPushButton::clicked, this, &Doors::backAsked);
    auto* layout = new QVBoxLayout(this);
    layout->addStretch(2);
    layout->addWidget(m_title, 0, Qt::AlignHCenter);
    // Without an alignment of its own in the layout, a wrapped line gets the height it needs.
    layout->addWidget(faint(m_words));
    const std::pair<QPushButton*, QString> doors[] = {
        {first, tr("%1 are already answered; change what you like").arg(firstAnswers())},
        {starter, tr("one of each kind, ready to change to what you have")},
        {file, tr("a design that was saved before, or that someone sent")},
        {m_demo, tr("a jar in three revisions, with readings and runs, to look around in")}};
    for (const auto& [door, words] : doors) {
        layout->addSpacing(static_cast<int>(Theme::em(0.7)));
        door->setFont(Theme::font(1.25));
        door->setMinimumSize(static_cast<int>(Theme::em(20.0)), static_cast<int>(Theme::em(3.0)));
        layout->addWidget(door, 0, Qt::AlignHCenter);
        m_demoWords = faint(new QLabel(words, this));
        layout->addWidget(m_demoWords);
    }
    layout->addWidget(m_back, 0, Qt::AlignHCenter);
    layout->addStretch(3);
    setAnother(false);
}

void Doors::setAnother(bool another) {
    m_title->setText(another ? tr("What shall the next one be made of?") : tr("What shall it be made of?"));
    m_words->setText(another
                         ? tr("It begins a line of its own in this notebook; nothing that is there changes.")
                         : tr("Nothing is written down yet; the first change makes a notebook by itself."));
    m_demo->setVisible(!another);
    m_demoWords->setVisible(!another);
    m_back->setVisible(another);
}

} // namespace anodex::app
