// src/app/widgets/ExplainPanel.h - how a number was found, opened beside it: formula, inputs, sources.
#pragma once
#include "core/explain/Explain.h"
#include <QFrame>

class QLabel;
class QTreeWidget;
class QTreeWidgetItem;

namespace anodex::app {

class ExplainPanel : public QFrame {
    Q_OBJECT
public:
    explicit ExplainPanel(QWidget* parent);

    void open(const QString& title, const explain::Explanation& explanation, const QPoint& near);
    [[nodiscard]] QTreeWidget* tree() const { return m_tree; }

protected:
    void keyPressEvent(QKeyEvent* event) override;

private:
    void fill(QTreeWidgetItem* parent, const explain::Explanation& explanation, int depth);

    QLabel* m_title;
    QLabel* m_formula;
    QTreeWidget* m_tree;
    QWidget* m_back = nullptr;
};

} // namespace anodex::app
