// src/app/frame/FindPanel.h - find anything by name: designs, builds, readings, substances, actions.
#pragma once
#include "app/session/Workbench.h"
#include <QFrame>
#include <functional>

class QLineEdit;
class QListWidget;

namespace anodex::app {

struct FindEntry {
    QString text;
    QString kind;
    std::function<void()> go;
};

class FindPanel : public QFrame {
    Q_OBJECT
public:
    explicit FindPanel(QWidget* parent);

    void open(std::vector<FindEntry> entries);

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void filter(const QString& text);
    void choose();

    std::vector<FindEntry> m_entries;
    QLineEdit* m_field;
    QListWidget* m_list;
    QWidget* m_back = nullptr;
};

} // namespace anodex::app
