// src/app/views/bench/EntryBox.h - the line a builder types at the bench, what it means, and what it has to
// ask.
//
// Enter on a line with two meanings keeps nothing: the meanings stand beside it as buttons. What lies far
// from what the cell can give is asked about once; Enter again keeps it. Arrow up and down recall what was
// typed.
#pragma once
#include "app/session/Workbench.h"
#include "wording/entry/EntryLine.h"
#include <QWidget>
#include <functional>

class QHBoxLayout;
class QLineEdit;

namespace anodex::app {

class ElidedLabel;

class EntryBox : public QWidget {
    Q_OBJECT
public:
    /// `told`: the words for what is understood; of an empty line too.
    EntryBox(Workbench& bench, std::function<QString(const wording::Entry&)> told, QWidget* parent);

    [[nodiscard]] QLineEdit* line() const { return m_line; }
    /// The moment of the last line entered: a reading of that moment says no other time.
    [[nodiscard]] record::Millis enteredAt() const { return m_enteredAt; }
    void setText(const QString& text);
    /// Tells anew what is understood.
    void refresh();
    bool eventFilter(QObject* watched, QEvent* event) override;

signals:
    void entered(const QString& text, const anodex::wording::Entry& entry);
    void refused(const QString& text);
    void escaped();

private:
    [[nodiscard]] wording::Entry read(const QString& text);
    void enter();
    void ask(const QString& text, const wording::Question& question);
    void showChoices(const wording::Entry& entry);
    void recall(int step);

    Workbench& m_bench;
    std::function<QString(const wording::Entry&)> m_told;
    ElidedLabel* m_echo;
    QHBoxLayout* m_choices; ///< What the line may mean.
    QLineEdit* m_line;
    QString m_asked; ///< The line that was asked about; the same again is meant.
    record::Millis m_readAt = 0;
    record::Millis m_enteredAt = 0;
    QStringList m_typed;
    int m_recalled = 0;
};

} // namespace anodex::app
