// src/app/views/catalogue/EntryForm.h - an entry of one's own as a form: a field a plain value; what is a table stays as
// it was.
#pragma once
#include "formats/JsonObject.h"
#include <QScrollArea>
#include <vector>

class QFormLayout;
class QLineEdit;

namespace anodex::app {

class EntryForm : public QScrollArea {
    Q_OBJECT
public:
    explicit EntryForm(QWidget* parent);

    /// A new entry's id follows its name; one that stands in the notebook keeps its own.
    void edit(const std::string& text, bool isNew);
    /// As JSON; what is no number where one belongs stands in it as it was typed.
    [[nodiscard]] std::string text() const;
    /// Marks the field that a fault names, and calls it as the form does.
    [[nodiscard]] QString mark(const QString& fault);
    /// Or the first field, where there is no name.
    void focusName();

signals:
    void changed();

private:
    struct Field {
        std::string key;
        QLineEdit* edit;
        formats::Json::value_t type;
    };

    void addField(QFormLayout& form, const std::string& key, const formats::Json& value);

    formats::Json m_entry;
    bool m_isNew = false;
    std::vector<Field> m_fields;
};

} // namespace anodex::app
