// src/app/views/cell/CellView.h - how big, how far apart, what limits: the section with its two strips.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/views/View.h"

namespace anodex::app {

class Section;

class CellView : public View {
    Q_OBJECT
public:
    CellView(Workbench& bench, const Theme& theme, QWidget* parent);

    [[nodiscard]] Section* section() const { return m_section; }

private:
    void choices(const QString& part, const QPoint& at);

    Workbench& m_bench;
    Section* m_section;
};

} // namespace anodex::app
