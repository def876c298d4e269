// src/app/views/couple/MaterialPicker.h - choose an electrode: type to filter; each already shows what it
// would give.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include <QFrame>
#include <QTimer>

class QLineEdit;
class QListWidget;
class QListWidgetItem;

namespace anodex::app {

class MaterialPicker : public QFrame {
    Q_OBJECT
public:
    MaterialPicker(Workbench& bench, const Theme& theme, QWidget* parent);

    void open(design::Side side, const QPoint& at);

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void list();
    void foretellNext();
    void foretell(QListWidgetItem& row, std::size_t material);
    void filter(const QString& text);
    void choose();
    void close();

    Workbench& m_bench;
    const Theme& m_theme;
    design::Side m_side = design::Side::Negative;
    QLineEdit* m_filter;
    QListWidget* m_list;
    QWidget* m_back = nullptr;
    QTimer m_foretelling; ///< Works through the rows while nothing else is to be done.
    int m_foretold = 0;   ///< Rows whose voltage stands there already.
};

} // namespace anodex::app
