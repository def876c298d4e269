// src/app/views/couple/MaterialRows.h - how the electrode picker's rows look: a heading, or a material drawn
// beside what it would give, volts under volts and power under power.
#pragma once
#include "app/session/CatalogueHandle.h"
#include "app/theme/Theme.h"
#include "app/views/couple/Exchange.h"
#include <QStyledItemDelegate>
#include <optional>

class QListWidgetItem;

namespace anodex::app {

class MaterialRows : public QStyledItemDelegate {
    Q_OBJECT
public:
    MaterialRows(const Theme& theme, QObject* parent);

    /// Materials are those of this catalogue from now on.
    void use(CatalogueHandle catalogue) { m_catalogue = std::move(catalogue); }
    [[nodiscard]] static QListWidgetItem* heading(const QString& name);
    [[nodiscard]] QListWidgetItem* row(std::size_t material) const;
    /// None of a heading.
    [[nodiscard]] static std::optional<std::size_t> materialOf(const QListWidgetItem& row);
    void tell(QListWidgetItem& row, const Foretold& foretold) const;
    /// In its name, another name, its formula or its form.
    [[nodiscard]] bool matches(std::size_t material, const QString& text) const;

    void paint(QPainter* painter, const QStyleOptionViewItem& option,
               const QModelIndex& index) const override;
    [[nodiscard]] QSize sizeHint(const QStyleOptionViewItem& option, const QModelIndex& index) const override;

private:
    void paintHeading(QPainter& painter, const QRectF& area, const QString& name) const;
    void paintRow(QPainter& painter, const QRectF& area, const QModelIndex& index) const;

    CatalogueHandle m_catalogue;
    const Theme& m_theme;
};

} // namespace anodex::app
