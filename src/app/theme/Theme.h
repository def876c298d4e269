// src/app/theme/Theme.h - colours, type and sizes of the whole window, light and dark.
//
// Identity   the negative side is blue and round, the positive side orange and square: told apart by shape
//            and place first. Danger, warning and note differ by shape first. Hues: Okabe & Ito's
//            colour-blind-safe set (2008).
// Sizes      in font units, so that a 200 % font enlarges everything alike.
#pragma once
#include <QColor>
#include <QFont>
#include <QObject>

class QApplication;

namespace anodex::app {

enum class ThemeChoice { FollowDesktop, Light, Dark };

struct Colours {
    QColor paper; ///< Behind everything.
    QColor sheet; ///< Cards and fields.
    QColor ink;
    QColor faint; ///< Secondary text.
    QColor rule;  ///< Hairlines.
    QColor negative;
    QColor positive;
    QColor liquid;
    QColor expected; ///< Ranges and bands.
    QColor measured;
    QColor danger;
    QColor warning;
    QColor note;
    QColor focus;
};

class Theme : public QObject {
    Q_OBJECT
public:
    explicit Theme(QObject* parent = nullptr);

    /// Loads the shipped typeface and dresses the application.
    void apply(QApplication& application, ThemeChoice choice);
    [[nodiscard]] const Colours& colours() const { return m_colours; }
    [[nodiscard]] bool isDark() const { return m_dark; }
    [[nodiscard]] ThemeChoice choice() const { return m_choice; }
    /// Body text; `scale` enlarges, as in 2.0 for a value to be read from a distance.
    [[nodiscard]] static QFont font(double scale = 1.0, bool bold = false);
    /// `lines` heights of body text in pixels.
    [[nodiscard]] static double em(double lines = 1.0);

signals:
    void changed();

private:
    Colours m_colours;
    ThemeChoice m_choice = ThemeChoice::FollowDesktop;
    bool m_dark = false;
};

} // namespace anodex::app
