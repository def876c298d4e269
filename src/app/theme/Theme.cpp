#include "app/theme/Theme.h"

#include <QApplication>
#include <QFontDatabase>
#include <QFontMetricsF>
#include <QPalette>
#include <QStyleFactory>

namespace anodex::app {
namespace {

constexpr Colours kLight{QColor(0xF4, 0xF0, 0xE6), QColor(0xFC, 0xFA, 0xF4), QColor(0x20, 0x26, 0x2B),
                         QColor(0x62, 0x66, 0x69), QColor(0xD5, 0xCE, 0xBF), QColor(0x00, 0x5F, 0x9E),
                         QColor(0xB8, 0x4A, 0x00), QColor(0x9F, 0xD0, 0xE6), QColor(0xC9, 0xBF, 0xA6),
                         QColor(0x20, 0x26, 0x2B), QColor(0xA8, 0x1E, 0x1E), QColor(0x9A, 0x6A, 0x00),
                         QColor(0x3B, 0x6E, 0x8C), QColor(0x7A, 0x3E, 0x9D)};
constexpr Colours kDark{QColor(0x1B, 0x1E, 0x21), QColor(0x25, 0x29, 0x2D), QColor(0xEC, 0xE7, 0xDB),
                        QColor(0xA6, 0xA5, 0x9F), QColor(0x42, 0x47, 0x4B), QColor(0x6C, 0xBC, 0xF0),
                        QColor(0xF0, 0x96, 0x52), QColor(0x2E, 0x5B, 0x70), QColor(0x6B, 0x64, 0x50),
                        QColor(0xEC, 0xE7, 0xDB), QColor(0xF0, 0x78, 0x70), QColor(0xE8, 0xB8, 0x4A),
                        QColor(0x8C, 0xC4, 0xE0), QColor(0xD0, 0xA0, 0xF0)};

bool desktopIsDark() {
    const QPalette palette = QGuiApplication::palette();
    return palette.color(QPalette::Window).lightness() < palette.color(QPalette::WindowText).lightness();
}

void loadTypeface() {
    static bool loaded = false;
    if (loaded) {
        return;
    }
    loaded = true;
    for (const char* file :
         {":/fonts/Lato-Regular.ttf", ":/fonts/Lato-Bold.ttf", ":/fonts/Lato-Italic.ttf"}) {
        QFontDatabase::addApplicationFont(QString::fromLatin1(file));
    }
}

QString styleSheet(const Colours& c) {
    return QStringLiteral(R"(
        QWidget { color: %1; background: transparent; }
        QMainWindow, QDialog, #stage, #frame { background: %2; }
        QLineEdit, QTextEdit, QPlainTextEdit { background: %3; border: 1px solid %4; border-radius: 4px; padding: 5px 8px;
                    selection-background-color: %5; selection-color: %3; }
        QLineEdit:focus { border: 2px solid %6; padding: 4px 7px; }
        QLineEdit[wrong="true"] { border: 2px solid %8; padding: 4px 7px; }
        QPushButton { background: %3; border: 1px solid %4; border-radius: 4px; padding: 6px 14px; }
        QPushButton:hover { border-color: %1; }
        QPushButton:focus { border: 2px solid %6; padding: 5px 13px; }
        QPushButton:checked { background: %1; color: %2; }
        QPushButton[quiet="true"] { background: transparent; border: 1px solid transparent; }
        QPushButton[quiet="true"]:hover { border-color: %4; }
        QPushButton[quiet="true"]:focus { border: 2px solid %6; }
        QPushButton[quiet="true"]:checked { border: 1px solid %1; background: %3; color: %1; }
        QPushButton:disabled { color: %7; }
        QListView, QTreeView, QTableView { background: %3; border: 1px solid %4; border-radius: 4px; outline: none;
                    gridline-color: %4; alternate-background-color: %2; }
        QListView::item, QTreeView::item { padding: 4px 6px; border: 0px solid transparent; }
        QListView::item:selected, QTreeView::item:selected, QTableView::item:selected { background: %6; color: %3; }
        QHeaderView::section { background: %2; border: none; border-bottom: 1px solid %4; padding: 4px 6px; }
        QMenu { background: %3; border: 1px solid %4; padding: 4px; }
        QMenu::item { padding: 6px 22px; } QMenu::item:selected { background: %6; color: %3; }
        QMenu::item:disabled { color: %7; }
        QComboBox { background: %3; border: 1px solid %4; border-radius: 4px; padding: 5px 8px; }
        QComboBox:focus { border: 2px solid %6; padding: 4px 7px; }
        QComboBox QAbstractItemView { background: %3; selection-background-color: %6; selection-color: %3; }
        QToolTip { background: %3; color: %1; border: 1px solid %4; padding: 4px; }
        QSlider::groove:horizontal { height: 4px; background: %4; border-radius: 2px; }
        QSlider::handle:horizontal { width: 22px; margin: -10px 0; border-radius: 11px; background: %1; }
        QSlider::handle:horizontal:focus { background: %6; } QSlider::handle:horizontal:hover { background: %6; }
        QScrollBar:vertical { width: 12px; background: transparent; } QScrollBar::handle:vertical { background: %4; min-height: 30px; border-radius: 5px; }
        QScrollBar:horizontal { height: 12px; background: transparent; } QScrollBar::handle:horizontal { background: %4; min-width: 30px; border-radius: 5px; }
        QScrollBar::add-line, QScrollBar::sub-line, QScrollBar::add-page, QScrollBar::sub-page { background: none; border: none; height: 0; width: 0; }
        QScrollArea { border: none; }
        QProgressBar { background: %3; border: 1px solid %4; border-radius: 4px; text-align: center; }
        QProgressBar::chunk { background: %5; }
        #card { background: %3; border: 1px solid %4; border-radius: 6px; }
        #faint, #importState, #entrySources { color: %7; }
    )")
        .arg(c.ink.name(), c.paper.name(), c.sheet.name(), c.rule.name(), c.negative.name(), c.focus.name(),
             c.faint.name(), c.danger.name());
}

} // namespace

Theme::Theme(QObject* parent) : QObject(parent), m_colours(kLight) {}

void Theme::apply(QApplication& application, ThemeChoice choice) {
    loadTypeface();
    static const bool desktopDark = desktopIsDark();
    m_choice = choice;
    m_dark = choice == ThemeChoice::Dark || (choice == ThemeChoice::FollowDesktop && desktopDark);
    m_colours = m_dark ? kDark : kLight;
    QApplication::setStyle(QStyleFactory::create(QStringLiteral("Fusion")));
    QFont body(QStringLiteral("Lato"));
    body.setPointSizeF(application.font().pointSizeF() > 0 ? application.font().pointSizeF() : 10.0);
    QApplication::setFont(body);
    QPalette palette;
    palette.setColor(QPalette::Window, m_colours.paper);
    palette.setColor(QPalette::WindowText, m_colours.ink);
    palette.setColor(QPalette::Base, m_colours.sheet);
    palette.setColor(QPalette::AlternateBase, m_colours.paper);
    palette.setColor(QPalette::Text, m_colours.ink);
    palette.setColor(QPalette::Button, m_colours.sheet);
    palette.setColor(QPalette::ButtonText, m_colours.ink);
    palette.setColor(QPalette::Highlight, m_colours.focus);
    palette.setColor(QPalette::HighlightedText, m_colours.sheet);
    palette.setColor(QPalette::PlaceholderText, m_colours.faint);
    palette.setColor(QPalette::Link, m_colours.focus);
    palette.setColor(QPalette::LinkVisited, m_colours.focus);
    palette.setColor(QPalette::ToolTipBase, m_colours.sheet);
    palette.setColor(QPalette::ToolTipText, m_colours.ink);
    QApplication::setPalette(palette);
    application.setStyleSheet(styleSheet(m_colours));
    emit changed();
}

QFont Theme::font(double scale, bool bold) {
    QFont font = QApplication::font();
    font.setPointSizeF(font.pointSizeF() * scale);
    font.setBold(bold);
    return font;
}

double Theme::em(double lines) {
    static QFont measured;
    static double height = 0.0; // px
    const QFont font = QApplication::font();
    if (height == 0.0 || font != measured) {
        measured = font;
        height = QFontMetricsF(font).height();
    }
    return height * lines;
}

} // namespace anodex::app
