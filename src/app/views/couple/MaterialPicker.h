// src/app/views/couple/MaterialPicker.h - choose an electrode by sight: what is on the shelf first, then by
// kind; each already shows what it would give, and the one under the hand is compared with the present one.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include <QFrame>
#include <QTimer>

class QLabel;
class QLineEdit;
class QListWidget;
class QListWidgetItem;

namespace anodex::app {

class MaterialRows;

class MaterialPicker : public QFrame {
    Q_OBJECT
public:
    MaterialPicker(Workbench& bench, const Theme& theme, QWidget* parent);

    void open(design::Side side, const QPoint& at);

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void list();
    void add(const QString& heading, const std::vector<std::size_t>& materials);
    void foretellNext();
    [[nodiscard]] Outcome with(const QListWidgetItem& row) const;
    void compare();
    void filter(const QString& text);
    void step(int by);
    void choose();
    void close();

    Workbench& m_bench;
    design::Side m_side = design::Side::Negative;
    QLineEdit* m_filter;
    QListWidget* m_list;
    MaterialRows* m_rows;
    QLabel* m_compared;
    CatalogueHandle m_catalogue; ///< That the rows were made from.
    QWidget* m_back = nullptr;
    QTimer m_foretelling; ///< Works through the rows while nothing else is to be done.
    int m_foretold = 0;   ///< Rows that were worked through.
};

} // namespace anodex::app
