// src/app/frame/MainWindow.h - the frame: wire, crumbs, stage, rail, message strip. It wires; it computes
// nothing.
#pragma once
#include "app/frame/FindPanel.h"
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "core/explain/Explain.h"
#include <QMainWindow>

class QStackedWidget;

namespace anodex::app {

class BenchView;
class CellView;
class CoupleView;
class Crumbs;
class ExplainPanel;
class FileActions;
class JudgeView;
class MessageStrip;
class CatalogueView;
class NotebookView;
class ShelfView;
class PictureScroll;
class Rail;
class View;
class Wire;

class MainWindow : public QMainWindow {
    Q_OBJECT
public:
    MainWindow(Workbench& bench, Theme& theme, QWidget* parent = nullptr);

    /// Without any design every station leads to the doors.
    void showStation(const QString& wanted);
    [[nodiscard]] QString station() const { return m_station; }
    /// Opens a fresh, marked copy of the demo notebook.
    bool openDemo();
    /// The doors, though there are designs already.
    void beginAnother();
    [[nodiscard]] MessageStrip* strip() const { return m_strip; }
    [[nodiscard]] ExplainPanel* explainPanel() const { return m_explain; }

protected:
    void closeEvent(QCloseEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void addView(const QString& id, View* view);
    void addShortcuts();
    void refreshWire();
    void refreshTitle();
    void showDrawer();
    void showFind();
    [[nodiscard]] std::vector<FindEntry> findEntries();
    /// Couple and Cell work on the design; Bench and Judge on the build.
    [[nodiscard]] bool worksOnBuild() const;
    void explain(const explain::QuantityKey& key, const QPoint& at);
    void goToRemedy(const findings::Finding& finding);
    void setTheme(ThemeChoice choice);

    Workbench& m_bench;
    Theme& m_theme;
    FileActions* m_files;
    Wire* m_wire;
    Crumbs* m_crumbs;
    QStackedWidget* m_stage;
    Rail* m_rail;
    PictureScroll* m_railFrame;
    MessageStrip* m_strip;
    ExplainPanel* m_explain;
    FindPanel* m_find;
    NotebookView* m_notebook;
    CoupleView* m_couple;
    CellView* m_cell;
    BenchView* m_benchView;
    JudgeView* m_judge;
    ShelfView* m_shelf;
    CatalogueView* m_catalogueView;
    QString m_station;
};

} // namespace anodex::app
