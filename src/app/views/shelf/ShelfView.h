// src/app/views/shelf/ShelfView.h - what the builder owns, and the best that can be made of it.
#pragma once
#include "app/session/ScreenWorker.h"
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/views/View.h"
#include <array>

class QBoxLayout;
class QLabel;
class QLineEdit;
class QProgressBar;
class QPushButton;
class QStackedWidget;

namespace anodex::app {

class Boards;
class Ranking;
struct CupboardThing;

class ShelfView : public View {
    Q_OBJECT
public:
    ShelfView(Workbench& bench, const Theme& theme, QWidget* parent);

    [[nodiscard]] Ranking* ranking() const { return m_ranking; }
    [[nodiscard]] bool takes(const QString& path) const override;
    void take(const QString& path) override;

protected:
    void resizeEvent(QResizeEvent* event) override;
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;

private:
    QWidget* makeShelf();
    QWidget* makeRanking();
    void add();
    void toggle(const CupboardThing& thing);
    void takeOff(std::size_t thing);
    void openFile();
    void saveFile();
    void rank();
    void stop();
    void takeState(const ScreenState& state);
    void choose(design::CellDesign design);

    Workbench& m_bench;
    const Theme& m_theme;
    ScreenWorker m_worker;
    QBoxLayout* m_layout;
    Boards* m_boards = nullptr;
    Ranking* m_ranking = nullptr;
    QStackedWidget* m_sides = nullptr; ///< The shelf, or the cupboard.
    QPushButton* m_cupboard = nullptr;
    QLineEdit* m_entry = nullptr;
    QLabel* m_state = nullptr;
    QProgressBar* m_progress = nullptr;
    QPushButton* m_stop = nullptr;
    std::array<QPushButton*, 5> m_by{}; ///< In the order they are offered.
    std::size_t m_chosen = 0;
    shelf::Shelf m_ranked; ///< What the answer belongs to.
};

} // namespace anodex::app
