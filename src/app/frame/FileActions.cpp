#include "app/frame/FileActions.h"

#include "app/session/ChosenFile.h"
#include "formats/CellFile.h"
#include "wording/ErrorText.h"

#include <QFile>
#include <QFileInfo>
#include <QSaveFile>

namespace anodex::app {
namespace {

constexpr const char* kNotebooks = QT_TRANSLATE_NOOP("FileActions", "Notebooks (*.anodex)");
constexpr const char* kDesigns = QT_TRANSLATE_NOOP("FileActions", "Designs (*.cell.json *.json)");

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

} // namespace

FileActions::FileActions(Workbench& bench, QObject* parent)
    : QObject(parent), m_bench(bench), m_recent(bench.services().settingsFile) {
    onChange(bench, this, Part::File, &FileActions::remember);
}

void FileActions::remember() {
    if (const QString lasting = m_bench.files().lasting(); !lasting.isEmpty()) {
        m_recent.add(QFileInfo(lasting).absoluteFilePath());
    }
}

QStringList FileActions::recentNotebooks() const {
    QStringList others = m_recent.paths();
    if (m_bench.store().isOpen()) {
        others.removeAll(QFileInfo(m_bench.store().path()).absoluteFilePath());
    }
    return others;
}

void FileActions::openNotebook() {
    const QString path = m_bench.services().chooseOpen(tr("Open a notebook"), tr(kNotebooks));
    if (!path.isEmpty()) {
        open(path);
    }
}

void FileActions::open(const QString& path) {
    if (m_bench.files().open(path, false)) {
        const QString station = m_bench.store().remembered(QStringLiteral("station"));
        emit stationAsked(station.isEmpty() ? QStringLiteral("notebook") : station);
    }
}

void FileActions::newNotebook() {
    const QString path = chosenToSave(m_bench.services(), tr("New notebook"), QStringLiteral("cells.anodex"));
    if (!path.isEmpty() && m_bench.files().open(path, true)) {
        emit stationAsked(QStringLiteral("notebook"));
    }
}

bool FileActions::openDemo() {
    if (!m_bench.files().isDemo() && !m_bench.files().openDemo(QStringLiteral(":/demo/demo.anodex"))) {
        return false;
    }
    emit stationAsked(QStringLiteral("notebook"));
    return true;
}

void FileActions::keepDemo() {
    const QString path =
        chosenToSave(m_bench.services(), tr("Keep the demo as my notebook"), QStringLiteral("cells.anodex"));
    if (!path.isEmpty()) {
        m_bench.files().keepAs(path);
    }
}

void FileActions::saveCopy() {
    if (!m_bench.store().isOpen()) {
        emit refused(tr("There is no notebook to copy yet"));
        return;
    }
    const QString name = QFileInfo(m_bench.store().path()).completeBaseName();
    const QString path = chosenToSave(m_bench.services(), tr("Save a copy of the notebook"),
                                      tr("%1 copy").arg(name) + QStringLiteral(".anodex"));
    if (!path.isEmpty()) {
        m_bench.files().saveCopy(path);
    }
}

void FileActions::restoreBackup() {
    if (m_bench.files().lasting().isEmpty() || m_bench.files().look()) {
        emit refused(tr("Open the notebook first whose place the backup shall take"));
        return;
    }
    const QString path = m_bench.services().chooseOpen(tr("Restore from a backup"), tr(kNotebooks));
    if (!path.isEmpty()) {
        m_bench.files().restoreFrom(path);
    }
}

void FileActions::rescueNotebook() {
    const QString path = m_bench.services().chooseOpen(tr("Rescue a damaged notebook"), tr(kNotebooks));
    if (!path.isEmpty()) {
        m_bench.files().rescue(path);
    }
}

void FileActions::openDesign() {
    const QString path = m_bench.services().chooseOpen(tr("Begin from a cell file"), tr(kDesigns));
    if (!path.isEmpty()) {
        openDesign(path);
    }
}

void FileActions::openDesign(const QString& path) {
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly)) {
        emit refused(tr("%1 cannot be read; check the name and the permissions").arg(path));
        return;
    }
    const auto design = formats::readCellFile(file.readAll().toStdString());
    const Outcome outcome = design ? outcomeOf(m_bench.catalogueHandle(), *design) : Outcome();
    if (!design || !outcome.usable()) {
        emit refused(path + QStringLiteral(": ") +
                     q(design ? outcome.problem : wording::errorText(design.error())));
        return;
    }
    m_bench.settle();
    design::CellDesign named = *design;
    named.name = named.name.empty() ? QFileInfo(path).baseName().toStdString() : named.name;
    m_bench.startDesign(named);
    emit stationAsked(QStringLiteral("couple"));
}

void FileActions::saveDesign() {
    m_bench.settle();
    if (m_bench.selection().revision() == nullptr) {
        emit refused(tr("There is no design to save yet"));
        return;
    }
    const record::Revision revision = *m_bench.selection().revision();
    const QString path = chosenToSave(m_bench.services(), tr("Save this design as a file"),
                                      q(revision.name) + QStringLiteral(".cell.json"));
    if (path.isEmpty()) {
        return;
    }
    design::CellDesign named = revision.design;
    named.name = revision.name;
    const std::string text = formats::writeCellFile(named);
    QSaveFile file(path);
    const bool written =
        file.open(QIODevice::WriteOnly) &&
        file.write(text.data(), static_cast<qint64>(text.size())) == static_cast<qint64>(text.size()) &&
        file.commit();
    if (written) {
        emit said(tr("%1 is in %2").arg(q(revision.name), path));
    } else {
        emit refused(tr("%1 could not be written (%2); nothing was changed").arg(path, file.errorString()));
    }
}

void FileActions::showLog() {
    const QString path = q(m_bench.services().log->path());
    if (path.isEmpty() || !QFile::exists(path)) {
        emit refused(tr("There is no log: its folder cannot be written"));
        return;
    }
    m_bench.services().showFile(path);
    emit said(tr("The log is %1: commands and errors by code, nothing of what you wrote").arg(path));
}

} // namespace anodex::app
