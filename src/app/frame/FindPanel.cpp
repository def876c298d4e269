#include "app/frame/FindPanel.h"

#include "app/frame/FindMatch.h"
#include "app/theme/Theme.h"
#include "app/widgets/RowList.h"

#include <QApplication>
#include <QKeyEvent>
#include <QLineEdit>
#include <QVBoxLayout>
#include <algorithm>

namespace anodex::app {

FindPanel::FindPanel(QWidget* parent)
    : QFrame(parent), m_field(new QLineEdit(this)), m_list(new RowList(this)) {
    setObjectName(QStringLiteral("card"));
    setAccessibleName(tr("Find"));
    m_field->setObjectName(QStringLiteral("findField"));
    m_field->setAccessibleName(tr("What to find"));
    m_field->setPlaceholderText(tr("a design, a reading, a starter, a material, a page, an action"));
    m_field->setFont(Theme::font(1.2));
    m_list->setObjectName(QStringLiteral("findList"));
    m_list->setAccessibleName(tr("Found"));
    m_list->setFocusPolicy(Qt::NoFocus);
    auto* layout = new QVBoxLayout(this);
    layout->addWidget(m_field);
    layout->addWidget(m_list, 1);
    m_field->installEventFilter(this);
    connect(m_field, &QLineEdit::textChanged, this, &FindPanel::filter);
    connect(m_field, &QLineEdit::returnPressed, this, &FindPanel::choose);
    connect(m_list, &QListWidget::itemClicked, this, &FindPanel::choose);
    hide();
}

void FindPanel::open(std::vector<FindEntry> entries) {
    m_back = QApplication::focusWidget();
    m_entries = std::move(entries);
    m_field->clear();
    filter(QString());
    const int width = std::min(static_cast<int>(Theme::em(34.0)), parentWidget()->width() - 20);
    const int height = std::min(static_cast<int>(Theme::em(24.0)), parentWidget()->height() - 80);
    setGeometry(parentWidget()->width() - width - 10, static_cast<int>(Theme::em(3.4)), width, height);
    show();
    raise();
    m_field->setFocus();
}

void FindPanel::filter(const QString& text) {
    m_list->clear();
    const QStringList words = text.toLower().split(QLatin1Char(' '), Qt::SkipEmptyParts);
    std::vector<std::pair<Fit, std::size_t>> fitting;
    for (std::size_t i = 0; i < m_entries.size(); ++i) {
        const Fit fit = fitOf(m_entries[i].text + QLatin1Char(' ') + m_entries[i].kind, words);
        if (fit != Fit::None) {
            fitting.emplace_back(fit, i);
        }
    }
    std::stable_sort(fitting.begin(), fitting.end(),
                     [](const auto& a, const auto& b) { return a.first > b.first; });
    // What is only near is no answer where something fits as it was typed.
    const bool exact = !fitting.empty() && fitting.front().first > Fit::Nearly;
    constexpr int kMost = 60;
    for (const auto& [fit, index] : fitting) {
        if (m_list->count() == kMost || (exact && fit == Fit::Nearly)) {
            break;
        }
        const QString line = m_entries[index].text + QStringLiteral("   · ") + m_entries[index].kind;
        auto* row = new QListWidgetItem(line, m_list);
        row->setToolTip(line);
        row->setData(Qt::UserRole, static_cast<int>(index));
    }
    if (fitting.empty()) {
        auto* none = new QListWidgetItem(tr("Nothing is called so. Try a part of its name."), m_list);
        none->setFlags(Qt::NoItemFlags);
        return;
    }
    m_list->setCurrentRow(0);
}

void FindPanel::choose() {
    const QListWidgetItem* row = m_list->currentItem();
    if (row == nullptr) {
        return;
    }
    hide();
    if (m_back != nullptr) {
        m_back->setFocus();
    }
    const auto index = static_cast<std::size_t>(row->data(Qt::UserRole).toInt());
    const auto go = m_entries[index].go;
    if (go) {
        go();
    }
}

bool FindPanel::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::KeyPress) {
        const int key = static_cast<QKeyEvent*>(event)->key();
        if (key == Qt::Key_Escape) {
            hide();
            if (m_back != nullptr) {
                m_back->setFocus();
            }
            return true;
        }
        if (key == Qt::Key_Up || key == Qt::Key_Down) {
            m_list->setCurrentRow(std::clamp(m_list->currentRow() + (key == Qt::Key_Down ? 1 : -1), 0,
                                             std::max(0, m_list->count() - 1)));
            return true;
        }
    }
    return QFrame::eventFilter(watched, event);
}

} // namespace anodex::app
