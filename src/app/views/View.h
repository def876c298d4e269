// src/app/views/View.h - what every station's stage offers the window.
#pragma once
#include "core/explain/Explain.h"
#include <QKeyEvent>
#include <QKeySequence>
#include <QWidget>
#include <functional>
#include <vector>

namespace anodex::app {

/// Something that is done from anywhere: by its keys, from the drawer, by its name.
struct Deed {
    /// Where the drawer shows it; Elsewhere: it has keys and a name alone.
    enum class Group { Work, Notebook, Recent, Mend, Place, Elsewhere };

    QString id;
    Group group;
    QString words; ///< As in the drawer; with an ellipsis where more is asked.
    QList<QKeySequence> keys;
    std::function<void()> go;
};

class View : public QWidget {
    Q_OBJECT
public:
    using QWidget::QWidget;

    /// It was just brought onto the stage: keys go where the work of this view is.
    virtual void arrive() {}
    /// From which other view, or from none.
    virtual void arriveFrom(const QString& /*view*/) { arrive(); }
    /// What it offers from anywhere; it is brought onto the stage first.
    [[nodiscard]] virtual std::vector<Deed> deeds() { return {}; }
    /// The file, or the place below, is one for this view, by its name.
    [[nodiscard]] virtual bool takes(const QString& /*path*/) const { return false; }
    /// Such a one, once the view is on the stage.
    virtual void take(const QString& /*path*/) {}
    /// All that can be done from anywhere, for a view that tells of it.
    void setAllDeeds(std::function<std::vector<Deed>()> all) { m_allDeeds = std::move(all); }

signals:
    /// A computed number wants to show how it was found, near a point of the screen.
    void numberAsked(const anodex::explain::QuantityKey& key, const QPoint& at);
    /// An explanation of its own wants to be shown there.
    void explanationAsked(const QString& title, const anodex::explain::Explanation& explanation,
                          const QPoint& at);
    /// Show another station.
    void stationAsked(const QString& id);
    /// Do what the window or another view offers under this id.
    void deedAsked(const QString& id);
    /// One line: what, where, what would be right.
    void refused(const QString& text);

protected:
    std::function<std::vector<Deed>()> m_allDeeds;
};

/// A view that is visited from another and left for it again: Escape leads back.
class VisitedView : public View {
    Q_OBJECT
public:
    using View::View;

    void arriveFrom(const QString& view) override {
        if (!view.isEmpty()) {
            m_cameFrom = view;
        }
        arrive();
    }

protected:
    void keyPressEvent(QKeyEvent* event) override {
        if (event->key() == Qt::Key_Escape && !m_cameFrom.isEmpty()) {
            emit stationAsked(m_cameFrom);
            return;
        }
        View::keyPressEvent(event);
    }
    [[nodiscard]] const QString& cameFrom() const { return m_cameFrom; }

private:
    QString m_cameFrom;
};

/// The schemes of places: "handbook:PAGE#SECTION", "catalogue:LIST/ID".
inline const QString kHandbook = QStringLiteral("handbook:");
inline const QString kCatalogue = QStringLiteral("catalogue:");
/// Against the path of a file.
[[nodiscard]] inline bool isPlace(const QString& path) {
    return path.startsWith(kHandbook) || path.startsWith(kCatalogue);
}

} // namespace anodex::app
