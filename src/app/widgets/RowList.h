// src/app/widgets/RowList.h - a list whose words are written whole, on as many lines as they take, and whose rows
// are: one that would be cut at its foot waits until there is room for it.
#pragma once
#include <QListWidget>

namespace anodex::app {

class RowList : public QListWidget {
    Q_OBJECT
public:
    explicit RowList(QWidget* parent = nullptr);

    /// No row where none is shown.
    [[nodiscard]] QModelIndex indexAt(const QPoint& point) const override;

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    /// Height that whole rows fill, px.
    [[nodiscard]] int wholeRows() const;
};

} // namespace anodex::app
