#include "app/views/couple/MaterialRows.h"

#include "app/widgets/Draw.h"
#include "app/widgets/Listed.h"
#include "app/widgets/MaterialPaint.h"

#include <QListWidgetItem>

namespace anodex::app {
namespace {

enum Role { Material = Qt::UserRole, Volts, Power, Harm, Severity };

} // namespace

MaterialRows::MaterialRows(const Theme& theme, QObject* parent)
    : QStyledItemDelegate(parent), m_theme(theme) {}

QListWidgetItem* MaterialRows::heading(const QString& name) {
    auto* item = new QListWidgetItem(name);
    item->setFlags(Qt::NoItemFlags);
    return item;
}

QListWidgetItem* MaterialRows::row(std::size_t material) const {
    auto* item = new QListWidgetItem(QString::fromStdString(m_catalogue->materials[material].name));
    item->setData(Material, static_cast<qulonglong>(material));
    return item;
}

std::optional<std::size_t> MaterialRows::materialOf(const QListWidgetItem& row) {
    const QVariant material = row.data(Material);
    return material.isValid() ? std::optional<std::size_t>(material.toULongLong()) : std::nullopt;
}

void MaterialRows::tell(QListWidgetItem& row, const Foretold& foretold) const {
    row.setData(Volts, foretold.volts.isEmpty() ? tr("cannot be used here") : foretold.volts);
    row.setData(Power, foretold.power);
    row.setData(Harm, foretold.harm);
    row.setData(Severity, static_cast<int>(foretold.severity));
    const QString name = QString::fromStdString(m_catalogue->materials[*materialOf(row)].name);
    row.setText(listed({name, row.data(Volts).toString(), foretold.power, foretold.harm}));
}

bool MaterialRows::matches(std::size_t material, const QString& text) const {
    const chemistry::Material& one = m_catalogue->materials[material];
    QStringList words{QString::fromStdString(one.name), QString::fromStdString(one.formulaText),
                      QString::fromStdString(one.form)};
    for (const std::string& alias : one.aliases) {
        words << QString::fromStdString(alias);
    }
    return words.join(QLatin1Char(' ')).contains(text.trimmed(), Qt::CaseInsensitive);
}

QSize MaterialRows::sizeHint(const QStyleOptionViewItem& /*option*/, const QModelIndex& index) const {
    return {static_cast<int>(Theme::em(10.0)),
            static_cast<int>(Theme::em(index.data(Material).isValid() ? 2.0 : 1.7))};
}

void MaterialRows::paint(QPainter* painter, const QStyleOptionViewItem& option,
                         const QModelIndex& index) const {
    const Colours& c = m_theme.colours();
    const QRectF area(option.rect);
    painter->save();
    if (!index.data(Material).isValid()) {
        paintHeading(*painter, area, index.data(Qt::DisplayRole).toString());
    } else {
        if ((option.state & QStyle::State_Selected) != 0) {
            painter->fillRect(area, tintedOver(c.sheet, c.focus, 0.18));
        }
        paintRow(*painter, area, index);
    }
    painter->restore();
}

void MaterialRows::paintHeading(QPainter& painter, const QRectF& area, const QString& name) const {
    const Colours& c = m_theme.colours();
    painter.setPen(QPen(c.rule, 1.0));
    painter.drawLine(area.bottomLeft(), area.bottomRight());
    painter.setPen(c.faint);
    painter.setFont(Theme::font(0.85, true));
    drawElided(painter, area.adjusted(6, 0, -6, -2), name, Qt::AlignLeft | Qt::AlignBottom);
}

void MaterialRows::paintRow(QPainter& painter, const QRectF& area, const QModelIndex& index) const {
    const Colours& c = m_theme.colours();
    const double em = Theme::em();
    const chemistry::Material& material = m_catalogue->materials[index.data(Material).toULongLong()];
    const double figure = 1.3 * em;
    paintMaterial(painter, c, *m_catalogue, material,
                  QRectF(area.left() + 0.5 * em, area.center().y() - 0.5 * figure, figure, figure));

    const double left = area.left() + 2.4 * em;
    const double column = 4.8 * em;
    const double volts = left + 0.31 * (area.right() - left);
    painter.setFont(Theme::font());
    painter.setPen(c.ink);
    drawElided(painter, QRectF(left, area.top(), volts - left, area.height()),
               QString::fromStdString(material.name));
    const bool usable = !index.data(Power).toString().isEmpty() || !index.data(Volts).isValid();
    painter.setPen(usable ? c.ink : c.faint);
    drawElided(painter, QRectF(volts, area.top(), usable ? column : area.right() - volts, area.height()),
               index.data(Volts).toString(), (usable ? Qt::AlignRight : Qt::AlignLeft) | Qt::AlignVCenter);
    drawElided(painter, QRectF(volts + column, area.top(), column, area.height()),
               index.data(Power).toString(), Qt::AlignRight | Qt::AlignVCenter);
    if (const QString harm = index.data(Harm).toString(); !harm.isEmpty()) {
        const double at = volts + 2.0 * column + 0.9 * em;
        const auto severity = static_cast<findings::Severity>(index.data(Severity).toInt());
        drawSeverity(painter, QPointF(at, area.center().y()), 0.42 * em, severity, c);
        painter.setPen(c.ink);
        painter.setFont(Theme::font(0.9));
        drawElided(painter, QRectF(at + 0.8 * em, area.top(), area.right() - at - 1.1 * em, area.height()),
                   harm);
    }
}

} // namespace anodex::app
