#include "app/views/catalogue/EntryForm.h"

#include "app/theme/Theme.h"
#include "wording/catalogue/EntryPage.h"

#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QRegularExpression>
#include <QStyle>
#include <algorithm>

namespace anodex::app {
namespace {

using formats::Json;

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

QString shown(const Json& value) {
    if (value.is_string()) {
        return q(value.get<std::string>());
    }
    if (value.is_array()) {
        QStringList names;
        for (const Json& name : value) {
            names << q(name.get<std::string>());
        }
        return names.join(QStringLiteral(", "));
    }
    return q(value.dump());
}

bool isWords(const Json& value) {
    return value.is_array() &&
           std::all_of(value.begin(), value.end(), [](const Json& part) { return part.is_string(); });
}

Json words(const QString& typed) {
    Json list = Json::array();
    for (const QString& name : typed.split(QLatin1Char(','), Qt::SkipEmptyParts)) {
        list.push_back(name.trimmed().toStdString());
    }
    return list;
}

/// A decimal comma is one.
Json number(const QString& typed) {
    bool isNumber = false;
    const double value = QString(typed).replace(QLatin1Char(','), QLatin1Char('.')).toDouble(&isNumber);
    return isNumber ? Json(value) : Json(typed.toStdString());
}

Json truth(const QString& typed) {
    return typed == QLatin1String("true")    ? Json(true)
           : typed == QLatin1String("false") ? Json(false)
                                             : Json(typed.toStdString());
}

/// "My alloy" is "my-alloy".
std::string idFrom(const QString& name) {
    QString id;
    for (const QChar letter : name.toLower()) {
        id += letter.isLetterOrNumber() ? letter : QLatin1Char('-');
    }
    return id.toStdString();
}

} // namespace

EntryForm::EntryForm(QWidget* parent) : QScrollArea(parent) {
    setObjectName(QStringLiteral("entryForm"));
    setWidgetResizable(true);
    setFocusPolicy(Qt::NoFocus);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
}

void EntryForm::edit(const std::string& text, bool isNew) {
    m_isNew = isNew;
    m_fields.clear();
    if (formats::parseJson(text, m_entry)) {
        return; // what the program wrote itself reads
    }
    auto* sheet = new QWidget(this);
    auto* form = new QFormLayout(sheet);
    form->setFieldGrowthPolicy(QFormLayout::ExpandingFieldsGrow);
    form->setRowWrapPolicy(QFormLayout::WrapLongRows);
    bool hasTables = false;
    for (const auto& [key, value] : m_entry.items()) {
        if (key == "id") {
            continue;
        }
        if (value.is_primitive() || isWords(value)) {
            addField(*form, key, value);
        } else {
            hasTables = true;
        }
    }
    if (hasTables) {
        auto* rest = new QLabel(
            tr("Tables and what is made of parts stay as they were; \"as a file\" shows them."), sheet);
        rest->setObjectName(QStringLiteral("faint"));
        rest->setWordWrap(true);
        form->addRow(rest);
    }
    setWidget(sheet);
}

void EntryForm::addField(QFormLayout& form, const std::string& key, const Json& value) {
    auto* edit = new QLineEdit(shown(value), this);
    const QString name = key == "name"      ? tr("name")
                         : key == "aliases" ? tr("also called")
                                            : q(wording::entryField(key));
    edit->setObjectName(QStringLiteral("entryField:") + q(key));
    edit->setAccessibleName(name);
    edit->setCursorPosition(0);
    auto* label = new QLabel(name, this);
    label->setWordWrap(true);
    label->setBuddy(edit);
    form.addRow(label, edit);
    m_fields.push_back({key, edit, value.type()});
    connect(edit, &QLineEdit::textEdited, this, &EntryForm::changed);
}

std::string EntryForm::text() const {
    Json entry = m_entry;
    for (const Field& field : m_fields) {
        const QString typed = field.edit->text().trimmed();
        entry[field.key] = field.type == Json::value_t::string    ? Json(typed.toStdString())
                           : field.type == Json::value_t::array   ? words(typed)
                           : field.type == Json::value_t::boolean ? truth(typed)
                                                                  : number(typed);
        if (m_isNew && field.key == "name" && entry.contains("id")) {
            entry["id"] = idFrom(typed);
        }
    }
    return entry.dump(2);
}

QString EntryForm::mark(const QString& fault) {
    static const QRegularExpression kWhere(
        QStringLiteral("^(?:\\w+\\.json: )?(?:\\w+\\[\\d+\\]\\.)?(\\w+)(?=[:.\\[])"));
    const QRegularExpressionMatch where = kWhere.match(fault);
    QString told = fault;
    for (const Field& field : m_fields) {
        const bool wrong = where.hasMatch() && where.captured(1) == q(field.key);
        if (wrong) {
            told.replace(0, where.capturedLength(), field.edit->accessibleName());
        }
        if (field.edit->property("wrong").toBool() != wrong) {
            field.edit->setProperty("wrong", wrong);
            field.edit->style()->unpolish(field.edit);
            field.edit->style()->polish(field.edit);
        }
    }
    return told;
}

void EntryForm::focusName() {
    const auto name = std::find_if(m_fields.begin(), m_fields.end(),
                                   [](const Field& field) { return field.key == "name"; });
    if (!m_fields.empty()) {
        QLineEdit* first = (name == m_fields.end() ? m_fields.front() : *name).edit;
        first->setFocus();
        first->selectAll();
    }
}

} // namespace anodex::app
