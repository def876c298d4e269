// src/app/views/couple/LiquidPanel.h - what is in the liquid: its pours as rows, each amount a field, and a
// pour line.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/views/View.h"
#include <QFrame>

class QLineEdit;
class QPushButton;
class QVBoxLayout;

namespace anodex::app {

class ElidedLabel;

class LiquidPanel : public QFrame {
    Q_OBJECT
public:
    LiquidPanel(Workbench& bench, const Theme& theme, design::Side side, QWidget* parent);

    void refresh();
    bool eventFilter(QObject* watched, QEvent* event) override;

signals:
    void numberAsked(const anodex::explain::QuantityKey& key, const QPoint& at);
    void refused(const QString& text);

private:
    void rebuildRows();
    [[nodiscard]] QString nameIn(int solute) const;
    void refreshFacts();
    void refreshTitle();
    void addRow(const QString& name, const QString& amount, int solute);
    void step(QLineEdit* field, int steps);
    void typed(QLineEdit* field, int solute, bool settle);
    void pour();
    void removeSolute(int solute);
    [[nodiscard]] const design::LiquidDesign& liquid() const {
        return m_bench.draft().design().liquidAt(m_side);
    }

    Workbench& m_bench;
    const Theme& m_theme;
    design::Side m_side;
    ElidedLabel* m_title;
    QVBoxLayout* m_rows;
    QLineEdit* m_pour;
    QPushButton* m_acidity;
    QPushButton* m_conductivity;
    QString m_shape; ///< Names of the rows as shown; rows are made anew only when it changes.
    std::vector<QLineEdit*> m_fields;
};

} // namespace anodex::app
