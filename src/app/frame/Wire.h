// src/app/frame/Wire.h - the thin line along the top: minus terminal, the stations in work order, plus
// terminal.
#pragma once
#include "app/theme/Theme.h"
#include "app/widgets/picture/Picture.h"

namespace anodex::app {

struct Station {
    QString id;
    QString title;
    int number = 0; ///< Alt+number jumps there; fixed even while others are absent.
    int flags = 0;  ///< Dangers that belong there.
    bool operator==(const Station&) const = default;
};

class Wire : public Picture {
    Q_OBJECT
public:
    Wire(const Theme& theme, QWidget* parent);

    void setStations(std::vector<Station> stations, const QString& current);
    [[nodiscard]] QSize sizeHint() const override;

signals:
    void stationChosen(const QString& id);
    void drawerAsked();
    void findAsked();

private:
    void rebuild();

    const Theme& m_theme;
    std::vector<Station> m_stations;
    QString m_current;
};

} // namespace anodex::app
