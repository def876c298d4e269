// src/app/frame/MainWindow.h - the frame: wire, crumbs, stage, rail, message strip. It wires; it computes
// nothing.
#pragma once
#include "app/frame/FindPanel.h"
#include "app/frame/Hints.h"
#include "app/frame/OneWindow.h"
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/views/ViewList.h"
#include "core/explain/Explain.h"
#include <QMainWindow>

class QStackedWidget;

namespace anodex::app {

class Crumbs;
class ExplainPanel;
class FileActions;
class MessageStrip;
class PictureScroll;
class Rail;
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
    /// A notebook, a cell file, or what one of the views takes: a shelf, a run.
    void openFile(const QString& path);
    /// By its name.
    [[nodiscard]] static bool isNotebook(const QString& path);
    /// What a later start of the program wants; the window comes to the front.
    void grant(const OneWindow::Wish& wish);
    /// What a view or the frame offers under this id.
    void perform(const QString& id);
    /// Everything that can be done from anywhere, as things stand.
    [[nodiscard]] std::vector<Deed> deeds();
    [[nodiscard]] MessageStrip* strip() const { return m_strip; }
    [[nodiscard]] ExplainPanel* explainPanel() const { return m_explain; }

protected:
    void closeEvent(QCloseEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void layOut();
    void connectParts();
    void addView(View* view);
    void addShortcuts();
    void refreshWire();
    void refreshTitle();
    void showDrawer();
    void showFind();
    /// False when no view takes it.
    bool offer(const QString& path);
    [[nodiscard]] View* viewAt(std::size_t index) const;
    void explain(const explain::QuantityKey& key, const QPoint& at);
    void goToRemedy(const findings::Finding& finding);
    void setTheme(ThemeChoice choice);
    void placeRail();
    void showHint();
    void endHint();

    Workbench& m_bench;
    Theme& m_theme;
    const std::vector<ViewEntry> m_views;
    FileActions* m_files;
    Wire* m_wire;
    Crumbs* m_crumbs;
    QStackedWidget* m_stage;
    Rail* m_rail;
    PictureScroll* m_railFrame;
    MessageStrip* m_strip;
    ExplainPanel* m_explain;
    FindPanel* m_find;
    Hints m_hints;
    QString m_station;
    bool m_isNarrow = false;    ///< For the rail in full.
    bool m_needsDesign = false; ///< The view on the stage does.
    bool m_ofBuild = false;     ///< Its numbers are of the build as it was built.
};

} // namespace anodex::app
