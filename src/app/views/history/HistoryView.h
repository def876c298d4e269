// src/app/views/history/HistoryView.h - every step the notebook took, newest first, and the way back to any of them.
//
// Going back    loses nothing: what was taken back can be brought forward, until something new is written down.
// To look       opens a copy of the notebook as it was then, to read only; the bar leads back to now.
// To keep both  the notebook as it was then is saved as one of its own.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/views/View.h"

class QLabel;
class QListWidget;
class QListWidgetItem;
class QPushButton;

namespace anodex::app {

class HistoryView : public VisitedView {
    Q_OBJECT
public:
    HistoryView(Workbench& bench, const Theme& theme, QWidget* parent);

    void arrive() override;

private:
    void layOut();
    void refresh();
    void addRow(const notebook::HistoryEntry& entry, bool now);
    /// What going to the step that is chosen would take back or bring forward.
    void tell();
    void go();
    void look();
    void save();
    /// None where no step is chosen.
    [[nodiscard]] std::optional<std::int64_t> chosen() const;

    Workbench& m_bench;
    const Theme& m_theme;
    QListWidget* m_list;
    QLabel* m_words;
    QPushButton* m_go;
    QPushButton* m_look;
    QPushButton* m_save;
    std::vector<notebook::HistoryEntry> m_entries; ///< Oldest first.
};

} // namespace anodex::app
