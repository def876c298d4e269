// src/app/views/bench/BenchView.h - what does the meter say, and is it as expected? One line understands what
// is typed.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/views/View.h"
#include "wording/entry/EntryLine.h"

class QLabel;
class QLineEdit;
class QListWidget;
class QListWidgetItem;
class QPushButton;
class QStackedWidget;

namespace anodex::app {

class AsBuiltSheet;
class CurvePlot;
class EntryBox;
class ImportSheet;

class BenchView : public View {
    Q_OBJECT
public:
    BenchView(Workbench& bench, const Theme& theme, QWidget* parent);

    void startImport(const QString& path);
    void askImport();
    void arrive() override;
    [[nodiscard]] std::vector<Deed> deeds() override;
    /// A logger's file may end in anything but what other views take.
    [[nodiscard]] bool takes(const QString& path) const override;
    void take(const QString& path) override { startImport(path); }
    /// Typing anywhere on this view lands in the entry line.
    bool eventFilter(QObject* watched, QEvent* event) override;
    [[nodiscard]] QLineEdit* entry() const { return m_entry; }

protected:
    void keyPressEvent(QKeyEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

private:
    enum class RowKind { Reading, Event, Run };

    QWidget* makePage();
    QWidget* makeEmpty();
    void refresh();
    void refreshLive();
    void refreshList();
    void refreshCurve();
    /// Since the first thing the picture shows.
    [[nodiscard]] double hoursOf(record::Millis when) const;
    std::vector<run::CurveSample> noCurve(const notebook::NotebookError& error);
    [[nodiscard]] QString echoOf(const wording::Entry& entry) const;
    void correct(record::Reading right);
    void enter(const QString& text, const wording::Entry& entry);
    [[nodiscard]] std::optional<record::Reading> readingOf(const QListWidgetItem* row) const;
    /// Corrects a reading; judges a run.
    void open(QListWidgetItem* row);
    /// Strikes a reading out or sets a run aside, or brings it back.
    void strikeOut(QListWidgetItem* row);

    Workbench& m_bench;
    const Theme& m_theme;
    QStackedWidget* m_stack;
    QLabel* m_live = nullptr;
    QLabel* m_liveNote = nullptr;
    CurvePlot* m_plot = nullptr;
    QListWidget* m_list = nullptr;
    QLineEdit* m_entry = nullptr;
    ImportSheet* m_sheet;
    AsBuiltSheet* m_asBuilt;
    QPushButton* m_asBuiltButton = nullptr;
    std::optional<record::Reading> m_correcting; ///< Being corrected in the entry line.
    EntryBox* m_box = nullptr;
    record::Millis m_first = 0; ///< Where the picture begins.
};

} // namespace anodex::app
