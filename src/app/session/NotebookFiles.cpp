#include "app/session/NotebookFiles.h"

#include "notebook/FreshName.h"
#include "wording/ErrorText.h"

#include <QDateTime>
#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QTemporaryDir>
#include <array>
#include <unistd.h>

namespace anodex::app {
namespace {

using Code = notebook::NotebookError::Code;

QString text(const std::string& utf8) {
    return QString::fromStdString(utf8);
}

std::string owner() {
    std::array<char, 128> host{};
    const bool known = gethostname(host.data(), host.size() - 1) == 0;
    return "process " + std::to_string(getpid()) + " on " + (known ? host.data() : "this computer");
}

} // namespace

NotebookFiles::NotebookFiles(Store& store, Services services, Hooks hooks, QObject* parent)
    : QObject(parent), m_store(store), m_services(std::move(services)), m_hooks(std::move(hooks)) {
    connectJobs();
}

void NotebookFiles::connectJobs() {
    connect(&m_jobs, &FileJobs::checked, this, [this](const QString& path, const QStringList& faults) {
        if (!faults.isEmpty() && path == m_store.path()) {
            m_services.log->error("check", "damaged");
            emit damaged(path, tr("%1 has %n fault(s): %2", nullptr, static_cast<int>(faults.size()))
                                   .arg(QFileInfo(path).fileName(), faults.front()));
        }
    });
    connect(&m_jobs, &FileJobs::copied, this, [this](const QString& to, const QString& problem) {
        if (to == m_lookWhenCopied) {
            m_lookWhenCopied.clear();
            if (problem.isEmpty()) {
                showLook(to);
            } else {
                QDir(QFileInfo(to).path()).removeRecursively();
                emit refused(problem);
            }
            return;
        }
        const bool wanted = std::exchange(m_openWhenCopied, QString()) == to;
        if (!problem.isEmpty()) {
            emit refused(problem);
        } else if (!wanted || open(to, false)) {
            emit said(wanted ? tr("Kept as %1; it is open now").arg(to) : tr("A copy is in %1").arg(to));
        }
    });
    connect(&m_jobs, &FileJobs::rescued, this,
            [this](const QString& fresh, const QStringList& lost, const QString& problem) {
                if (!problem.isEmpty()) {
                    emit refused(problem);
                } else if (open(fresh, false)) {
                    m_services.log->recovered("rescue");
                    emit said(
                        lost.isEmpty()
                            ? tr("Everything was rescued into %1").arg(fresh)
                            : tr("Rescued into %1. Lost: %2").arg(fresh, lost.join(QStringLiteral("; "))));
                }
            });
    connect(&m_jobs, &FileJobs::restored, this,
            [this](const QString& path, const QString& keptAs, const QString& problem) {
                if (!problem.isEmpty()) {
                    emit refused(problem);
                }
                if (open(path, false) && problem.isEmpty()) {
                    m_services.log->recovered("restore");
                    emit said(tr("Restored. What stood there before is kept as %1").arg(keptAs));
                }
            });
}

bool NotebookFiles::open(const QString& path, bool create) {
    return open(path, create ? notebook::OpenMode::Create : notebook::OpenMode::Write, {});
}

bool NotebookFiles::open(const QString& path, notebook::OpenMode mode, const Passing& passing) {
    m_hooks.settle();
    const auto asked = notebook::identityOf(path.toStdString());
    const notebook::Notebook* now = m_store.notebook();
    if (now != nullptr && asked && asked == notebook::identityOf(now->path()) && now->stillThere()) {
        emit said(tr("%1 is open already").arg(path));
        return true;
    }
    m_services.log->command("open");
    auto opened = notebook::Notebook::open(path.toStdString(), mode, owner());
    if (!opened && opened.error().code == Code::ReadOnly) {
        opened = notebook::Notebook::open(path.toStdString(), notebook::OpenMode::Read);
    }
    Contents contents;
    const auto problems = opened ? contents.load(*opened) : std::vector{opened.error()};
    if (!problems.empty()) {
        const notebook::NotebookError& error = problems.front();
        m_services.log->error("open", codeName(error.code), error.sqlite);
        const QString words = path + QStringLiteral(": ") + text(wording::errorText(error));
        if (error.code == Code::Damaged) {
            emit damaged(path, words);
        } else {
            emit refused(words);
        }
        return false;
    }
    letGo();
    m_passing = passing;
    m_store.take(std::move(*opened), std::move(contents));
    tellHowItOpened();
    m_jobs.check(path);
    return true;
}

void NotebookFiles::tellHowItOpened() {
    const notebook::Notebook& notebook = *m_store.notebook();
    QStringList words;
    if (!notebook.migrationBackup().empty()) {
        m_services.log->recovered("migration");
        words << tr("Brought up to date; as it was before it is kept in %1")
                     .arg(text(notebook.migrationBackup()));
    }
    if (!notebook.sharesWell()) {
        words << tr("This folder is on a network or removable disk: only one program at a time can work in "
                    "it, and a copy "
                    "elsewhere is wise");
    }
    if (m_passing.look) {
        words << tr("As it was on %1, to look at only")
                     .arg(QDateTime::fromMSecsSinceEpoch(m_passing.look->when)
                              .toString(QStringLiteral("yyyy-MM-dd HH:mm")));
    } else if (notebook.readOnly()) {
        words << tr("Open for reading only: this folder cannot be written");
    }
    if (!words.isEmpty()) {
        emit said(words.join(QStringLiteral(" · ")));
    }
}

void NotebookFiles::letGo() {
    m_store.letGo();
    m_jobs.stopChecking();
    removePassing();
}

QString NotebookFiles::lasting() const {
    if (m_passing.look) {
        return m_passing.look->demoFolder.isEmpty() ? m_passing.look->from : QString();
    }
    return m_passing.folder.isEmpty() ? m_store.path() : QString();
}

void NotebookFiles::lookAt(std::int64_t entry, record::Millis when) {
    m_hooks.settle();
    m_services.log->command("look at");
    QTemporaryDir fresh(QDir::tempPath() + QStringLiteral("/anodex-then-XXXXXX"));
    if (!m_store.isOpen() || !m_lookWhenCopied.isEmpty()) {
        return;
    }
    if (!fresh.isValid()) {
        emit refused(tr("There is no room for a copy in %1").arg(QDir::tempPath()));
        return;
    }
    fresh.setAutoRemove(false); // it goes when the notebook is let go of
    m_lookOf = when;
    m_lookWhenCopied = fresh.path() + QLatin1Char('/') + QFileInfo(m_store.path()).completeBaseName() +
                       QStringLiteral(".anodex");
    m_jobs.copyAsOf(m_store.path(), m_lookWhenCopied, entry);
}

void NotebookFiles::showLook(const QString& copy) {
    const Passing before = m_passing;
    Passing after{QFileInfo(copy).path(), Look{m_lookOf, m_store.path(), before.folder}};
    if (before.look) { // from an earlier state to one still earlier: the way back stays the same
        after.look->from = before.look->from;
        after.look->demoFolder = std::exchange(m_passing.look->demoFolder, QString());
    } else {
        m_passing.folder.clear(); // a demo's copy waits for the way back
    }
    if (!open(copy, notebook::OpenMode::Read, after)) {
        m_passing = before;
        QDir(after.folder).removeRecursively();
    }
}

bool NotebookFiles::back() {
    if (!m_passing.look) {
        return true;
    }
    const Passing before = m_passing;
    m_passing.look->demoFolder.clear(); // it is open again
    if (!open(before.look->from, notebook::OpenMode::Write, {before.look->demoFolder, {}})) {
        m_passing = before;
        return false;
    }
    return true;
}

bool NotebookFiles::openDemo(const QString& resource) {
    QTemporaryDir fresh(QDir::tempPath() + QStringLiteral("/anodex-demo-XXXXXX"));
    fresh.setAutoRemove(false); // it goes when the notebook is let go of
    const QString folder = fresh.path();
    const QString path = folder + QStringLiteral("/demo.anodex");
    if (!fresh.isValid() || !QFile::copy(resource, path) ||
        !QFile::setPermissions(path, QFile::ReadOwner | QFile::WriteOwner)) {
        emit refused(tr("The demo could not be copied to %1; check that the disk has room").arg(path));
        return false;
    }
    if (!open(path, notebook::OpenMode::Write, {folder, {}})) {
        QDir(folder).removeRecursively();
        return false;
    }
    return true;
}

void NotebookFiles::removePassing() {
    const Passing passing = std::exchange(m_passing, {});
    for (const QString& folder : {passing.folder, passing.look ? passing.look->demoFolder : QString()}) {
        if (!folder.isEmpty()) {
            QDir(folder).removeRecursively();
        }
    }
}

void NotebookFiles::keepAs(const QString& path) {
    m_hooks.settle();
    m_services.log->command("keep as");
    m_openWhenCopied = path;
    m_jobs.copy(m_store.path(), path);
}

void NotebookFiles::saveCopy(const QString& path) {
    m_hooks.settle();
    m_services.log->command("save copy");
    m_jobs.copy(m_store.path(), path);
}

void NotebookFiles::saveCopyAsOf(const QString& path, std::int64_t entry) {
    m_hooks.settle();
    m_services.log->command("save copy as of");
    m_jobs.copyAsOf(m_store.path(), path, entry);
}

void NotebookFiles::writeBack() {
    if (!m_store.isOpen()) {
        return;
    }
    m_services.log->command("write back");
    QString path = m_store.path();
    if (QFile::exists(path)) {
        path = text(notebook::freshNameBeside(path.toStdString(), tr("written back").toStdString()));
    }
    if (!QDir().mkpath(QFileInfo(path).absolutePath())) {
        m_store.report("write back", {Code::CannotOpen, path.toStdString()});
        return;
    }
    if (const auto done = m_store.notebook()->copyTo(path.toStdString()); !done) {
        m_store.report("write back", done.error());
        return;
    }
    const std::optional<Command> pending = m_store.takePending();
    letGo(); // and of the lock that goes with the name
    if (!open(path, false)) {
        return;
    }
    if (pending) {
        emit pendingAgain(*pending);
    }
    m_services.log->recovered("write back");
    emit said(tr("Written back to %1").arg(path));
}

void NotebookFiles::restoreFrom(const QString& backup) {
    m_hooks.settle();
    const QString path = m_store.path();
    if (path.isEmpty()) {
        return;
    }
    m_services.log->command("restore");
    letGo();
    m_jobs.restore(path, backup, m_hooks.free());
}

void NotebookFiles::rescue(const QString& path) {
    m_hooks.settle();
    m_services.log->command("rescue");
    m_jobs.rescue(path, text(notebook::freshNameBeside(path.toStdString(), tr("rescued").toStdString())));
}

bool NotebookFiles::ensure() {
    if (m_store.isOpen()) {
        return true;
    }
    QString path = m_services.documentsFolder + QStringLiteral("/cells.anodex");
    if (!QDir().mkpath(m_services.documentsFolder)) {
        emit refused(
            tr("The folder %1 cannot be made; check its permissions").arg(m_services.documentsFolder));
        return false;
    }
    for (int number = 2; QFile::exists(path); ++number) {
        path = m_services.documentsFolder + QStringLiteral("/cells-%1.anodex").arg(number);
    }
    if (!open(path, true)) {
        return false;
    }
    emit said(tr("Your notebook is kept in %1").arg(path));
    return true;
}

} // namespace anodex::app
