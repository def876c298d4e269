#include "app/views/history/HistoryView.h"

#include "app/session/ChosenFile.h"
#include "app/views/ViewList.h"
#include "app/widgets/RowList.h"
#include "wording/Texts.h"

#include <QDateTime>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

QDateTime timeOf(const notebook::HistoryEntry& entry) {
    return QDateTime::fromMSecsSinceEpoch(entry.happened);
}

} // namespace

HistoryView::HistoryView(Workbench& bench, const Theme& theme, QWidget* parent)
    : VisitedView(parent), m_bench(bench), m_theme(theme), m_list(new RowList(this)),
      m_words(new QLabel(this)), m_go(new QPushButton(tr("Go there"), this)),
      m_look(new QPushButton(tr("Look at it"), this)),
      m_save(new QPushButton(tr("Save that state as a notebook of its own…"), this)) {
    setObjectName(QStringLiteral("historyView"));
    m_list->setObjectName(QStringLiteral("historyList"));
    m_list->setAccessibleName(tr("Steps of the notebook, newest first"));
    m_list->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_words->setObjectName(QStringLiteral("historyWords"));
    m_words->setWordWrap(true);
    m_words->setAlignment(Qt::AlignTop);
    m_go->setObjectName(QStringLiteral("historyGo"));
    m_look->setObjectName(QStringLiteral("historyLook"));
    m_look->setToolTip(tr("Opens the notebook as it was then, to read only; nothing is taken back."));
    m_save->setObjectName(QStringLiteral("historySave"));
    layOut();
    connect(m_list, &QListWidget::currentRowChanged, this, &HistoryView::tell);
    connect(m_list, &QListWidget::itemActivated, this, &HistoryView::go);
    connect(m_go, &QPushButton::clicked, this, &HistoryView::go);
    connect(m_look, &QPushButton::clicked, this, &HistoryView::look);
    connect(m_save, &QPushButton::clicked, this, &HistoryView::save);
    onChange(bench, this, kContent, &HistoryView::refresh);
    connect(&theme, &Theme::changed, this, &HistoryView::refresh);
}

void HistoryView::layOut() {
    auto* deeds = new QHBoxLayout;
    deeds->addWidget(m_go);
    deeds->addWidget(m_look);
    deeds->addStretch(1);
    auto* keep = new QHBoxLayout;
    keep->addWidget(m_save);
    keep->addStretch(1);
    auto* side = new QVBoxLayout;
    side->addLayout(deeds);
    side->addLayout(keep);
    side->addWidget(m_words, 1);
    auto* layout = new QHBoxLayout(this);
    layout->addWidget(m_list, 5);
    layout->addSpacing(static_cast<int>(Theme::em(0.6)));
    layout->addLayout(side, 4);
}

void HistoryView::arrive() {
    refresh();
    m_list->setFocus();
}

void HistoryView::addRow(const notebook::HistoryEntry& entry, bool now) {
    const QString what = q(wording::text(entry.said));
    const QString time = timeOf(entry).toString(QStringLiteral("HH:mm"));
    const QString line = now            ? tr("%1   %2   · as it stands").arg(time, what)
                         : entry.undone ? tr("%1   %2   · taken back").arg(time, what)
                                        : QStringLiteral("%1   %2").arg(time, what);
    auto* row = new QListWidgetItem(line, m_list);
    row->setData(Qt::UserRole, QVariant::fromValue<qlonglong>(entry.id));
    row->setToolTip(line);
    if (entry.undone) {
        row->setForeground(m_theme.colours().faint);
    }
    if (now) {
        row->setFont(Theme::font(1.0, true));
    }
}

void HistoryView::refresh() {
    if (!isVisible()) {
        return; // arriving shows it anew
    }
    const std::optional<std::int64_t> before = chosen();
    m_entries = m_bench.store().history();
    m_list->clear();
    QDate day;
    bool reached = false;
    for (auto entry = m_entries.rbegin(); entry != m_entries.rend(); ++entry) {
        if (timeOf(*entry).date() != day) {
            day = timeOf(*entry).date();
            auto* head = new QListWidgetItem(day.toString(QStringLiteral("yyyy-MM-dd")), m_list);
            head->setFlags(Qt::NoItemFlags);
            head->setFont(Theme::font(0.9, true));
            head->setForeground(m_theme.colours().faint);
        }
        addRow(*entry, !entry->undone && !reached);
        reached = reached || !entry->undone;
    }
    for (int i = 0; i < m_list->count(); ++i) {
        const QVariant id = m_list->item(i)->data(Qt::UserRole);
        if (id.isValid() && (!before || id.toLongLong() == *before)) {
            m_list->setCurrentRow(i);
            break;
        }
    }
    tell();
}

std::optional<std::int64_t> HistoryView::chosen() const {
    const QListWidgetItem* row = m_list->currentItem();
    const QVariant id = row != nullptr ? row->data(Qt::UserRole) : QVariant();
    return id.isValid() ? std::optional<std::int64_t>(id.toLongLong()) : std::nullopt;
}

void HistoryView::tell() {
    const std::optional<std::int64_t> to = chosen();
    QStringList back;
    QStringList forward;
    for (const notebook::HistoryEntry& entry : m_entries) {
        if (to && !entry.undone && entry.id > *to) {
            back.prepend(q(wording::text(entry.said)));
        } else if (to && entry.undone && entry.id <= *to) {
            forward << q(wording::text(entry.said));
        }
    }
    const QStringList& steps = back.isEmpty() ? forward : back;
    m_go->setEnabled(!steps.isEmpty());
    m_save->setEnabled(to.has_value());
    m_look->setEnabled(!steps.isEmpty());
    constexpr qsizetype kTold = 12;
    QString words = m_entries.empty() ? tr("Nothing was written down yet.")
                    : steps.isEmpty() ? tr("The notebook stands here.")
                    : !back.isEmpty() ? tr("Going there takes back:")
                                      : tr("Going there brings forward:");
    for (const QString& step : steps.mid(0, kTold)) {
        words += QStringLiteral("\n· ") + step;
    }
    if (steps.size() > kTold) {
        words += QLatin1Char('\n') + tr("and %n more", nullptr, static_cast<int>(steps.size() - kTold));
    }
    if (!back.isEmpty()) {
        words += QStringLiteral("\n\n") +
                 tr("What is taken back can be brought forward again until something new is "
                    "written down. To keep both, save that state as a notebook of its own.");
    }
    m_words->setText(words);
}

void HistoryView::go() {
    if (const auto to = chosen(); to && m_go->isEnabled()) {
        m_bench.travelTo(*to);
    }
}

void HistoryView::look() {
    const auto found = std::find_if(m_entries.begin(), m_entries.end(),
                                    [to = chosen()](const auto& entry) { return entry.id == to; });
    if (found != m_entries.end()) {
        m_bench.files().lookAt(found->id, found->happened);
    }
}

void HistoryView::save() {
    const std::optional<std::int64_t> to = chosen();
    if (!to) {
        return;
    }
    const QString name = QFileInfo(m_bench.store().path()).completeBaseName();
    const QString path = chosenToSave(m_bench.services(), tr("Save that state as a notebook of its own"),
                                      tr("%1 as it was").arg(name) + QStringLiteral(".anodex"));
    if (!path.isEmpty()) {
        m_bench.files().saveCopyAsOf(path, *to);
    }
}

ViewEntry historyEntry() {
    return {"history",
            HistoryView::tr("History"),
            HistoryView::tr("every step, and the way back to it"),
            0,
            QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_H),
            ViewEntry::Needs::Nothing,
            false,
            [](Workbench& bench, const Theme& theme, QWidget* parent) -> View* {
                return new HistoryView(bench, theme, parent);
            }};
}

} // namespace anodex::app
