// src/app/views/bench/AsBuiltSheet.h - what differed when the design was built: weighed, measured, or simply
// not as drawn.
//
// A field left empty is as designed. What is kept changes the build's expectation with it.
#pragma once
#include "app/session/Workbench.h"
#include "wording/TypedValue.h"
#include <QFrame>
#include <vector>

class QLabel;
class QLineEdit;
class QPushButton;

namespace anodex::app {

class AsBuiltSheet : public QFrame {
    Q_OBJECT
public:
    AsBuiltSheet(Workbench& bench, QWidget* parent);

    /// Shows the build at hand.
    void open();
    void place();

signals:
    void closed();

protected:
    void keyPressEvent(QKeyEvent* event) override;

private:
    /// A value a builder weighs or measures.
    struct Field {
        QLineEdit* edit = nullptr;
        QString name;
        wording::Dimension dimension = wording::Dimension::None;
        double bareToSi = 1.0; ///< For a number typed without a unit.
        std::function<std::optional<double>&(design::CellDesign&)> member;
    };

    void addField(const QString& id, const QString& name, const QString& unit, wording::Dimension dimension,
                  double bareToSi, std::function<std::optional<double>&(design::CellDesign&)> member);
    [[nodiscard]] wording::TypedValue read(const Field& field) const;
    [[nodiscard]] QString shown(const Field& field, double value) const;
    void keep();
    void close();

    Workbench& m_bench;
    QLabel* m_title;
    QLabel* m_fault;
    QWidget* m_form;
    std::vector<Field> m_fields;
};

} // namespace anodex::app
