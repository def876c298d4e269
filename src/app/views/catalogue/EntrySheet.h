// src/app/views/catalogue/EntrySheet.h - an entry to read: its curves with the sources' points, and its page.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include <QWidget>
#include <array>

class QTextBrowser;

namespace anodex::app {

class CurvePlot;

class EntrySheet : public QWidget {
    Q_OBJECT
public:
    EntrySheet(Workbench& bench, const Theme& theme, QWidget* parent);

    void show(const std::string& list, const formats::CatalogueEntry& entry);
    void clear();
    [[nodiscard]] QTextBrowser* page() const { return m_page; }

signals:
    void linkFollowed(const QString& place);

private:
    void plotCurves(const std::string& list, const std::string& id);

    Workbench& m_bench;
    const Theme& m_theme;
    QWidget* m_curves;
    std::array<CurvePlot*, 3> m_plots{};
    QTextBrowser* m_page;
};

} // namespace anodex::app
