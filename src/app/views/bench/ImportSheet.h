// src/app/views/bench/ImportSheet.h - a run from a text file: the rows as read and the curve they would make.
//
// Nothing is stored before Add. What the file leaves open is asked first, one question at a time, with the
// curves each answer would make. A header seen before is read the same way again without questions. A long
// file is read aside; storing a long run goes on in small pieces between other things. Both show how far they
// are and stop at Cancel, leaving nothing behind.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "formats/run/RunCsv.h"
#include <QFrame>
#include <memory>

class QCheckBox;
class QHBoxLayout;
class QComboBox;
class QLabel;
class QProgressBar;
class QPushButton;
class QTableWidget;

namespace anodex::app {

class CurvePlot;

class ImportSheet : public QFrame {
    Q_OBJECT
public:
    ImportSheet(Workbench& bench, const Theme& theme, QWidget* parent);

    /// Reads the file and shows it; false when it cannot be read (the reason is said).
    bool open(const QString& path);

protected:
    void keyPressEvent(QKeyEvent* event) override;

signals:
    void refused(const QString& text);
    void closed();

private:
    bool look();
    void showRows();
    void showQuestion();
    void answer(formats::CsvAspect::Kind kind, const std::string& choice);
    void showChoices(const formats::CsvAspect& question);
    void showCurve();
    void readAside();
    void showCurrent();
    void showRun(tl::expected<formats::CsvRun, formats::CsvError> run);
    void showRoles();
    void giveRole(std::size_t column, std::size_t choice);
    void add();
    void added(bool stored);
    /// Stops storing; when nothing is being stored, leaves.
    void cancel();
    void close();
    [[nodiscard]] QComboBox* roleBox(std::size_t column);

    Workbench& m_bench;
    const Theme& m_theme;
    QString m_path;
    std::shared_ptr<const std::string> m_text = std::make_shared<const std::string>();
    formats::CsvPreview m_preview;
    formats::CsvSettings m_settings;              ///< With what was answered so far.
    std::optional<formats::CsvAspect> m_question; ///< Open; nothing can be added before it is answered.
    QWidget* m_ask;
    QLabel* m_askText;
    QHBoxLayout* m_askChoices;
    bool m_known = false; ///< The mapping was remembered.
    QLabel* m_title;
    QLabel* m_state;
    QTableWidget* m_table;
    CurvePlot* m_plot;
    CurvePlot* m_amps; ///< Beside the voltage, so that the sign can be judged; hidden without a current.
    QCheckBox* m_sign;
    QPushButton* m_add;
    QPushButton* m_cancel;
    QProgressBar* m_progress;
    std::shared_ptr<const formats::CsvRun> m_run; ///< As read; shared with what stores it.
    bool m_adding = false;                        ///< A run is being stored.
    Aside m_reader;
};

} // namespace anodex::app
