#include "app/widgets/picture/PictureAccessible.h"

#include "app/widgets/picture/Picture.h"

#include <QAccessibleWidget>
#include <QPointer>
#include <map>

namespace anodex::app {
namespace {

class ItemInterface : public QAccessibleInterface {
public:
    ItemInterface(Picture* picture, int index)
        : m_picture(picture), m_index(static_cast<std::size_t>(index)) {}

    [[nodiscard]] bool isValid() const override { return m_picture != nullptr && find() != nullptr; }
    [[nodiscard]] QObject* object() const override { return nullptr; }
    [[nodiscard]] QAccessibleInterface* parent() const override {
        return QAccessible::queryAccessibleInterface(m_picture);
    }
    [[nodiscard]] QAccessibleInterface* child(int /*index*/) const override { return nullptr; }
    [[nodiscard]] QAccessibleInterface* childAt(int /*x*/, int /*y*/) const override { return nullptr; }
    [[nodiscard]] int childCount() const override { return 0; }
    [[nodiscard]] int indexOfChild(const QAccessibleInterface* /*child*/) const override { return -1; }
    [[nodiscard]] QAccessible::Role role() const override {
        return find() != nullptr ? find()->role : QAccessible::NoRole;
    }
    [[nodiscard]] QString text(QAccessible::Text kind) const override {
        const PictureItem* item = find();
        if (item == nullptr) {
            return {};
        }
        switch (kind) {
        case QAccessible::Name:
            return item->name;
        case QAccessible::Value:
            return item->value;
        case QAccessible::Description:
            return item->tooltip;
        default:
            return {};
        }
    }
    void setText(QAccessible::Text /*kind*/, const QString& /*text*/) override {}
    [[nodiscard]] QRect rect() const override {
        const PictureItem* item = find();
        return item != nullptr
                   ? QRect(m_picture->mapToGlobal(item->area.topLeft().toPoint()), item->area.size().toSize())
                   : QRect();
    }
    [[nodiscard]] QAccessible::State state() const override {
        QAccessible::State state;
        const PictureItem* item = find();
        state.focusable = item != nullptr && item->focusable ? 1 : 0;
        state.focused =
            item != nullptr && m_picture->hasFocus() && m_picture->focusedItem() == item->id ? 1 : 0;
        return state;
    }

private:
    [[nodiscard]] const PictureItem* find() const {
        return m_picture != nullptr && m_index < m_picture->items().size() ? &m_picture->items()[m_index]
                                                                           : nullptr;
    }

    QPointer<Picture> m_picture;
    std::size_t m_index;
};

class PictureInterface : public QAccessibleWidget {
public:
    explicit PictureInterface(Picture* picture)
        : QAccessibleWidget(picture, QAccessible::Graphic), m_picture(picture) {}
    ~PictureInterface() override {
        for (const auto& [index, id] : m_children) {
            QAccessible::deleteAccessibleInterface(id);
        }
    }
    PictureInterface(const PictureInterface&) = delete;
    PictureInterface& operator=(const PictureInterface&) = delete;

    [[nodiscard]] int childCount() const override { return static_cast<int>(m_picture->items().size()); }
    [[nodiscard]] QAccessibleInterface* child(int index) const override {
        if (index < 0 || index >= childCount()) {
            return nullptr;
        }
        const auto known = m_children.find(index);
        if (known != m_children.end()) {
            return QAccessible::accessibleInterface(known->second);
        }
        auto* item = new ItemInterface(m_picture, index); // owned by Qt's registry until deleted above
        m_children[index] = QAccessible::registerAccessibleInterface(item);
        return item;
    }
    [[nodiscard]] int indexOfChild(const QAccessibleInterface* child) const override {
        for (const auto& [index, id] : m_children) {
            if (QAccessible::accessibleInterface(id) == child) {
                return index;
            }
        }
        return -1;
    }

private:
    Picture* m_picture;
    mutable std::map<int, QAccessible::Id> m_children;
};

QAccessibleInterface* makeInterface(const QString& /*className*/, QObject* object) {
    auto* picture = qobject_cast<Picture*>(object);
    return picture != nullptr ? new PictureInterface(picture) : nullptr;
}

} // namespace

void installPictureAccessibility() {
    static const bool installed = [] {
        QAccessible::installFactory(makeInterface);
        return true;
    }();
    (void)installed;
}

} // namespace anodex::app
