#include "app/views/bench/AsBuiltSheet.h"

#include "app/theme/Theme.h"
#include "core/base/Constants.h"

#include <QFormLayout>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>

namespace anodex::app {
namespace {

using wording::Dimension;

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

} // namespace

AsBuiltSheet::AsBuiltSheet(Workbench& bench, QWidget* parent)
    : QFrame(parent), m_bench(bench), m_title(new QLabel(this)), m_fault(new QLabel(this)),
      m_form(new QWidget(this)) {
    setObjectName(QStringLiteral("card"));
    setAccessibleName(tr("What differed as built"));
    m_title->setFont(Theme::font(1.2, true));
    m_title->setWordWrap(true);
    m_fault->setObjectName(QStringLiteral("asBuiltFault"));
    m_fault->setWordWrap(true);
    auto* hint =
        new QLabel(tr("Fill in only what you weighed or measured; what stays empty is as designed."), this);
    hint->setObjectName(QStringLiteral("faint"));
    hint->setWordWrap(true);
    auto* form = new QFormLayout(m_form);
    form->setContentsMargins(0, 0, 0, 0);
    form->setLabelAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    form->setFieldGrowthPolicy(QFormLayout::FieldsStayAtSizeHint);
    addField(QStringLiteral("gap"), tr("gap"), tr("mm"), Dimension::Metre, 1e-3,
             [](design::CellDesign& d) -> std::optional<double>& { return d.gapMetres; });
    addField(QStringLiteral("negativeMass"), tr("negative electrode, weighed"), tr("g"), Dimension::Kilogram,
             1e-3, [](design::CellDesign& d) -> std::optional<double>& { return d.negative.measuredMassKg; });
    addField(QStringLiteral("positiveMass"), tr("positive electrode, weighed"), tr("g"), Dimension::Kilogram,
             1e-3, [](design::CellDesign& d) -> std::optional<double>& { return d.positive.measuredMassKg; });
    addField(QStringLiteral("negativePh"), tr("pH at the negative electrode"), QString(), Dimension::None,
             1.0, [](design::CellDesign& d) -> std::optional<double>& { return d.liquid.measuredPh; });
    addField(QStringLiteral("temperature"), tr("temperature"), tr("°C"), Dimension::Kelvin, 1.0,
             [](design::CellDesign& d) -> std::optional<double>& { return d.temperatureKelvin; });
    addField(QStringLiteral("contact"), tr("contacts and leads"), tr("mΩ"), Dimension::Ohm, 1e-3,
             [](design::CellDesign& d) -> std::optional<double>& { return d.contactOhm; });
    auto* keepButton = new QPushButton(tr("Keep"), this);
    keepButton->setObjectName(QStringLiteral("asBuiltKeep"));
    auto* leave = new QPushButton(tr("Leave as it was"), this);
    leave->setObjectName(QStringLiteral("asBuiltLeave"));
    connect(keepButton, &QPushButton::clicked, this, &AsBuiltSheet::keep);
    connect(leave, &QPushButton::clicked, this, &AsBuiltSheet::close);
    auto* buttons = new QHBoxLayout;
    buttons->addStretch(1);
    buttons->addWidget(leave);
    buttons->addWidget(keepButton);
    auto* layout = new QVBoxLayout(this);
    layout->addWidget(m_title);
    layout->addWidget(hint);
    layout->addWidget(m_form);
    layout->addWidget(m_fault);
    layout->addLayout(buttons);
    hide();
}

void AsBuiltSheet::addField(const QString& id, const QString& name, const QString& unit, Dimension dimension,
                            double bareToSi,
                            std::function<std::optional<double>&(design::CellDesign&)> member) {
    auto* edit = new QLineEdit(m_form);
    edit->setObjectName(QStringLiteral("asBuilt:") + id);
    edit->setAccessibleName(name);
    edit->setMinimumWidth(static_cast<int>(Theme::em(11.0)));
    connect(edit, &QLineEdit::returnPressed, this, &AsBuiltSheet::keep);
    static_cast<QFormLayout*>(m_form->layout())
        ->addRow(unit.isEmpty() ? name : tr("%1, %2").arg(name, unit), edit);
    m_fields.push_back({edit, name, dimension, bareToSi, std::move(member)});
}

QString AsBuiltSheet::shown(const Field& field, double value) const {
    constexpr int kDigits = 4;
    return q(wording::numberText(
        field.dimension == Dimension::Kelvin ? value - base::kZeroCelsius : value / field.bareToSi, kDigits));
}

wording::TypedValue AsBuiltSheet::read(const Field& field) const {
    const std::string text = field.edit->text().toStdString();
    if (field.dimension == Dimension::Kelvin) {
        // A bare number is in degrees, which a factor alone does not turn into kelvin.
        if (const auto degrees = wording::typedValue(text, Dimension::None, 1.0).si) {
            return {*degrees + base::kZeroCelsius, {}};
        }
    }
    return wording::typedValue(text, field.dimension, field.bareToSi);
}

void AsBuiltSheet::open() {
    const BuildSummary* build = m_bench.selection().build();
    const record::Revision* revision = m_bench.selection().revision();
    if (build == nullptr || revision == nullptr) {
        return;
    }
    m_title->setText(tr("%1 of %2, as built").arg(q(build->build.name), q(revision->name)));
    m_fault->clear();
    design::CellDesign designed = revision->design;
    design::CellDesign built = build->build.asBuilt;
    for (const Field& field : m_fields) {
        const std::optional<double>& planned = field.member(designed);
        const std::optional<double>& actual = field.member(built);
        field.edit->setPlaceholderText(planned ? tr("as designed: %1").arg(shown(field, *planned))
                                               : tr("as designed"));
        field.edit->setText(actual && actual != planned ? shown(field, *actual) : QString());
    }
    place();
    show();
    raise();
    m_fields.front().edit->setFocus();
}

/// No larger than its fields, in the middle of its view.
void AsBuiltSheet::place() {
    const QRect room = parentWidget()->rect().adjusted(8, 8, -8, -8);
    const int width = std::min(room.width(), static_cast<int>(Theme::em(30.0)));
    layout()->activate();
    const int wanted =
        layout()->hasHeightForWidth() ? layout()->totalHeightForWidth(width) : sizeHint().height();
    const int height = std::min(room.height(), wanted + static_cast<int>(Theme::em(1.5)));
    setGeometry(room.center().x() - width / 2, room.top() + (room.height() - height) / 3, width, height);
}

void AsBuiltSheet::keep() {
    const record::Revision* revision = m_bench.selection().revision();
    if (revision == nullptr || m_bench.selection().build() == nullptr) {
        close();
        return;
    }
    design::CellDesign built = revision->design;
    for (const Field& field : m_fields) {
        if (field.edit->text().trimmed().isEmpty()) {
            continue;
        }
        const wording::TypedValue value = read(field);
        if (!value.si) {
            m_fault->setText(
                value.choices.empty()
                    ? tr("%1: \"%2\" does not fit; right would be a number with or without its unit")
                          .arg(field.name, field.edit->text())
                    : tr("%1: %2").arg(field.name,
                                       q(wording::whichOf(field.edit->text().toStdString(), value.choices))));
            field.edit->setFocus();
            return;
        }
        field.member(built) = value.si;
    }
    if (const QString problem = m_bench.changeAsBuilt(built); !problem.isEmpty()) {
        m_fault->setText(problem);
        return;
    }
    close();
}

void AsBuiltSheet::close() {
    hide();
    emit closed();
}

void AsBuiltSheet::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape) {
        close();
        return;
    }
    QFrame::keyPressEvent(event);
}

} // namespace anodex::app
