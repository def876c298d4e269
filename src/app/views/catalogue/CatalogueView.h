// src/app/views/catalogue/CatalogueView.h - the facts the model stands on, with their sources; entries of
// one's own by the same schema.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/views/View.h"

class QLabel;
class QLineEdit;
class QListWidget;
class QPlainTextEdit;
class QPushButton;
class QStackedWidget;
class QTimer;

namespace anodex::app {

class EntryForm;
class EntrySheet;

class CatalogueView : public View {
    Q_OBJECT
public:
    CatalogueView(Workbench& bench, const Theme& theme, QWidget* parent);

    [[nodiscard]] bool takes(const QString& path) const override;
    void take(const QString& path) override;

protected:
    void showEvent(QShowEvent* event) override;

private:
    QWidget* makeEntry(const Theme& theme);
    QWidget* makeButtons();
    void refresh();
    void list();
    void show(int row);
    void showFace();
    void changeFace();
    void startOwn();
    /// Tells the fault, and marks its field; true when there is none.
    bool check();
    [[nodiscard]] QString faultOf(const formats::OwnEntry& entry) const;
    void endOwn();
    [[nodiscard]] std::string typed() const;
    void keep();
    void remove();
    [[nodiscard]] std::string chosenList() const;
    [[nodiscard]] const record::Document* ownDocument(const std::string& list, const std::string& id) const;

    Workbench& m_bench;
    QListWidget* m_lists;
    QLineEdit* m_filter;
    QListWidget* m_entries;
    QLabel* m_title = nullptr; ///< Says what to do while an own entry is made.
    QLabel* m_fault = nullptr;
    QStackedWidget* m_faces = nullptr; ///< Sheet, form and file.
    EntrySheet* m_sheet = nullptr;
    EntryForm* m_form = nullptr;
    QPlainTextEdit* m_text = nullptr;
    QPushButton* m_own = nullptr;
    QPushButton* m_asFile = nullptr;
    QPushButton* m_keep = nullptr;
    QPushButton* m_leave = nullptr;
    QPushButton* m_remove = nullptr;
    QTimer* m_check;
    bool m_isEditing = false;
    bool m_isNew = false;
    std::vector<formats::CatalogueEntry> m_shown; ///< By row of the entries.
};

} // namespace anodex::app
