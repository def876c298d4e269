// src/app/views/handbook/HandbookView.h - the handbook in the window: what a view is for, what a finding means,
// what a word says; found by its words, with ways from and to the views.
//
// Written    pages of data/handbook; the list of keys and the sources of about are made from the program itself.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/views/View.h"
#include "wording/handbook/Handbook.h"

class QLabel;
class QLineEdit;
class QListWidget;
class QPushButton;
class QTextBrowser;
class QUrl;

namespace anodex::app {

class HandbookView : public VisitedView {
    Q_OBJECT
public:
    HandbookView(Workbench& bench, const Theme& theme, QWidget* parent);

    void arriveFrom(const QString& view) override;
    [[nodiscard]] bool takes(const QString& path) const override;
    void take(const QString& path) override;
    /// The place that is shown, "PAGE" or "PAGE#SECTION".
    [[nodiscard]] const QString& place() const { return m_place; }

private:
    void layOut();
    /// The pages that hold all the words, by chapter.
    void list(const QString& words);
    /// A new step: the way back leads to where it was before.
    void open(const QString& place);
    void step(std::vector<QString>& from, std::vector<QString>& to);
    void show(const QString& place);
    void scrollTo(const QString& section);
    void follow(const QUrl& link);
    [[nodiscard]] QString markdownOf(const wording::HandbookPage& page) const;

    const Theme& m_theme;
    std::vector<wording::HandbookPage> m_pages;
    QLineEdit* m_words;
    QListWidget* m_list;
    QLabel* m_none;
    QPushButton* m_back;
    QPushButton* m_forward;
    QPushButton* m_leave;
    QTextBrowser* m_page;
    QString m_place;
    std::vector<QString> m_before;
    std::vector<QString> m_after;
};

} // namespace anodex::app
