// The notebook's file: opened, kept as, written back, restored, rescued, folded when idle.
#include "app/session/Workbench.h"

#include "notebook/FreshName.h"
#include "wording/ErrorText.h"

#include <QDir>
#include <QFile>
#include <QFileInfo>
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

void Workbench::connectJobs() {
    connect(&m_jobs, &FileJobs::checked, this, [this](const QString& path, const QStringList& faults) {
        if (!faults.isEmpty() && path == notebookPath()) {
            m_services.log->error("check", "damaged");
            emit damaged(path, tr("%1 has %n fault(s): %2", nullptr, static_cast<int>(faults.size()))
                                   .arg(QFileInfo(path).fileName(), faults.front()));
        }
    });
    connect(&m_jobs, &FileJobs::copied, this, [this](const QString& to, const QString& problem) {
        const bool open = std::exchange(m_openWhenCopied, QString()) == to;
        if (!problem.isEmpty()) {
            emit refused(problem);
        } else if (!open || openNotebook(to, false)) {
            emit said(open ? tr("Kept as %1; it is open now").arg(to) : tr("A copy is in %1").arg(to));
        }
    });
    connect(&m_jobs, &FileJobs::rescued, this,
            [this](const QString& fresh, const QStringList& lost, const QString& problem) {
                if (!problem.isEmpty()) {
                    emit refused(problem);
                } else if (openNotebook(fresh, false)) {
                    m_services.log->recovered("rescue");
                    emit said(lost.isEmpty()
                                  ? tr("Everything was rescued into %1").arg(fresh)
                                  : tr("Rescued into %1. Lost: %2").arg(fresh, lost.join(tr("; "))));
                }
            });
    connect(&m_jobs, &FileJobs::restored, this,
            [this](const QString& path, const QString& keptAs, const QString& problem) {
                if (!problem.isEmpty()) {
                    emit refused(problem);
                }
                if (openNotebook(path, false) && problem.isEmpty()) {
                    m_services.log->recovered("restore");
                    emit said(tr("Restored. What stood there before is kept as %1").arg(keptAs));
                }
            });
}

bool Workbench::openNotebook(const QString& path, bool create) {
    settle();
    const auto asked = notebook::identityOf(path.toStdString());
    if (m_notebook && asked && asked == notebook::identityOf(m_notebook->path()) &&
        m_notebook->stillThere()) {
        emit said(tr("%1 is open already").arg(path));
        return true;
    }
    m_services.log->command("open");
    auto opened = notebook::Notebook::open(
        path.toStdString(), create ? notebook::OpenMode::Create : notebook::OpenMode::Write, owner());
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
    letGoOfNotebook();
    m_notebook.emplace(std::move(*opened));
    m_before.reset();
    m_pin.reset();
    m_contents = std::move(contents);
    m_at = {remembered(QStringLiteral("revision")).toStdString(),
            remembered(QStringLiteral("build")).toStdString()};
    showContents();
    tellHowItOpened();
    m_jobs.check(path);
    m_idle.start();
    return true;
}

void Workbench::tellHowItOpened() {
    QStringList words;
    if (!m_notebook->migrationBackup().empty()) {
        m_services.log->recovered("migration");
        words << tr("Brought up to date; as it was before it is kept in %1")
                     .arg(text(m_notebook->migrationBackup()));
    }
    if (!m_notebook->sharesWell()) {
        words << tr("This folder is on a network or removable disk: only one program at a time can work in "
                    "it, and a copy "
                    "elsewhere is wise");
    }
    if (m_notebook->readOnly()) {
        words << tr("Open for reading only: this folder cannot be written");
    }
    if (!words.isEmpty()) {
        emit said(words.join(QStringLiteral(" · ")));
    }
}

/// Remembers what was at hand, waits for work aside, closes the file.
void Workbench::letGoOfNotebook() {
    m_idle.stop();
    if (m_notebook) {
        remember(QStringLiteral("revision"), text(m_at.revision));
        remember(QStringLiteral("build"), text(m_at.build));
    }
    m_runReader.stop();
    m_jobs.stop();
    m_notebook.reset();
    m_pending.reset();
    removeDemo();
}

bool Workbench::openDemo(const QString& resource) {
    static int copies = 0;
    const QString folder =
        QDir::tempPath() + QStringLiteral("/anodex-demo-%1-%2").arg(getpid()).arg(++copies);
    const QString path = folder + QStringLiteral("/demo.anodex");
    if (!QDir().mkpath(folder) || !QFile::copy(resource, path) ||
        !QFile::setPermissions(path, QFile::ReadOwner | QFile::WriteOwner)) {
        emit refused(tr("The demo could not be copied to %1; check that the disk has room").arg(path));
        return false;
    }
    if (!openNotebook(path, false)) {
        QDir(folder).removeRecursively();
        return false;
    }
    m_demoFolder = folder;
    emit contentChanged();
    return true;
}

void Workbench::removeDemo() {
    if (!m_demoFolder.isEmpty()) {
        QDir(m_demoFolder).removeRecursively();
        m_demoFolder.clear();
    }
}

QString Workbench::notebookPath() const {
    return m_notebook ? text(m_notebook->path()) : QString();
}

void Workbench::keepAs(const QString& path) {
    settle();
    m_services.log->command("keep as");
    m_openWhenCopied = path;
    m_jobs.copy(notebookPath(), path);
}

void Workbench::saveCopy(const QString& path) {
    settle();
    m_services.log->command("save copy");
    m_jobs.copy(notebookPath(), path);
}

void Workbench::writeBack() {
    if (!m_notebook) {
        return;
    }
    m_services.log->command("write back");
    std::string path = m_notebook->path();
    if (QFile::exists(text(path))) {
        path = notebook::freshNameBeside(path, tr("written back").toStdString());
    }
    if (!QDir().mkpath(QFileInfo(text(path)).absolutePath())) {
        report("write back", {Code::CannotOpen, path});
        return;
    }
    if (const auto done = m_notebook->copyTo(path); !done) {
        report("write back", done.error());
        return;
    }
    const std::optional<Pending> pending = std::exchange(m_pending, std::nullopt);
    const Selection at = m_at;
    letGoOfNotebook(); // and of the lock that goes with the name
    if (!openNotebook(text(path), false)) {
        return;
    }
    m_at = at;
    loadSelection();
    if (pending) {
        commit(pending->sentence, pending->changes, pending->after);
    }
    m_services.log->recovered("write back");
    emit said(tr("Written back to %1").arg(text(path)));
}

void Workbench::restoreFrom(const QString& backup) {
    settle();
    const QString path = notebookPath();
    if (path.isEmpty()) {
        return;
    }
    m_services.log->command("restore");
    letGoOfNotebook();
    m_jobs.restore(path, backup);
}

void Workbench::rescue(const QString& path) {
    settle();
    m_services.log->command("rescue");
    m_jobs.rescue(path, text(notebook::freshNameBeside(path.toStdString(), tr("rescued").toStdString())));
}

void Workbench::foldWhenIdle() {
    if (!m_notebook || m_notebook->readOnly()) {
        return;
    }
    if (const auto there = m_notebook->stillThere(); !there) {
        report("idle", there.error());
        return;
    }
    const auto folded = m_notebook->fold();
    if (!folded) {
        report("fold", folded.error());
    } else if (!*folded) {
        m_idle.start(); // a reader still needed the log
    }
}

bool Workbench::ensureNotebook() {
    if (m_notebook) {
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
    const Outcome kept = m_outcome;
    if (!openNotebook(path, true)) {
        return false;
    }
    m_outcome = kept;
    emit said(tr("Your notebook is kept in %1").arg(path));
    return true;
}

} // namespace anodex::app
