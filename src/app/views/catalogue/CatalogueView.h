// src/app/views/catalogue/CatalogueView.h - the facts the model stands on, with their sources; entries of
// one's own by the same schema.
#pragma once
#include "app/session/Workbench.h"
#include "app/views/View.h"

class QLabel;
class QLineEdit;
class QListWidget;
class QPlainTextEdit;
class QPushButton;

namespace anodex::app {

class CatalogueView : public View {
    Q_OBJECT
public:
    CatalogueView(Workbench& bench, QWidget* parent);

    [[nodiscard]] bool takes(const QString& path) const override;
    void take(const QString& path) override;

protected:
    void showEvent(QShowEvent* event) override;

private:
    QWidget* makeEntry();
    void refresh();
    void list();
    void show(int row);
    void startOwn();
    void keep();
    void remove();
    [[nodiscard]] std::string chosenList() const;
    [[nodiscard]] const record::Document* ownDocument(const std::string& list, const std::string& id) const;

    Workbench& m_bench;
    QListWidget* m_lists;
    QLineEdit* m_filter;
    QListWidget* m_entries;
    QLabel* m_title = nullptr;
    QLabel* m_sources = nullptr;
    QPlainTextEdit* m_text = nullptr;
    QPushButton* m_own = nullptr;
    QPushButton* m_keep = nullptr;
    QPushButton* m_remove = nullptr;
    std::vector<formats::CatalogueEntry> m_shown; ///< By row of the entries.
};

} // namespace anodex::app
