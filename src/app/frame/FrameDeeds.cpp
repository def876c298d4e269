#include "app/frame/FrameDeeds.h"

#include "app/frame/FileActions.h"
#include "app/session/Deeds.h"
#include "app/theme/Words.h"

#include <QFileInfo>

namespace anodex::app {
namespace {

Deed deed(const char* id, Deed::Group group, const QString& words, const QList<QKeySequence>& keys,
          std::function<void()> go) {
    return {QString::fromLatin1(id), group, words, keys, std::move(go)};
}

std::vector<Deed> workDeeds(Workbench& bench, FileActions& files) {
    using Group = Deed::Group;
    return {
        deed("openDesign", Group::Work, tr("Begin from a cell file…"), {}, [&] { files.openDesign(); }),
        deed("saveDesign", Group::Work, tr("Save this design as a file…"), {}, [&] { files.saveDesign(); }),
        deed("writeDownBuild", Group::Work, tr("Write down a build"), {QKeySequence(Qt::CTRL | Qt::Key_B)},
             [&] { bench.writeDownBuild(); }),
        deed("branch", Group::Work, tr("New line from here"), {QKeySequence(Qt::CTRL | Qt::Key_D)},
             [&] { branchDesign(bench); }),
        deed("hold", Group::Work,
             bench.draft().isHeld() ? tr("Let go of the held state") : tr("Hold this state to compare"),
             {QKeySequence(Qt::CTRL | Qt::Key_H)}, [&] { bench.toggleHold(); }),
        deed("undo", Group::Elsewhere, tr("Undo"), {QKeySequence::Undo}, [&] { bench.undo(); }),
        deed("redo", Group::Elsewhere, tr("Redo"),
             {QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_Z), QKeySequence(Qt::CTRL | Qt::Key_Y)},
             [&] { bench.redo(); }),
    };
}

std::vector<Deed> notebookDeeds(Workbench& bench, FileActions& files) {
    using Group = Deed::Group;
    const bool demo = bench.files().isDemo();
    return {
        deed("newNotebook", Group::Notebook, tr("New notebook…"), {QKeySequence::New},
             [&] { files.newNotebook(); }),
        deed("openNotebook", Group::Notebook, tr("Open a notebook…"), {QKeySequence::Open},
             [&] { files.openNotebook(); }),
        deed("keepDemo", demo ? Group::Notebook : Group::Elsewhere, tr("Keep the demo as my notebook…"), {},
             [&] { files.keepDemo(); }),
        deed("openDemo", demo ? Group::Elsewhere : Group::Notebook, tr("Look at the demo"), {},
             [&] { files.openDemo(); }),
        deed("saveCopy", demo ? Group::Elsewhere : Group::Notebook, tr("Save a copy of the notebook…"),
             {QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_S)}, [&] { files.saveCopy(); }),
        deed("restore", Group::Mend, tr("Restore from a backup…"), {}, [&] { files.restoreBackup(); }),
        deed("rescue", Group::Mend, tr("Rescue a damaged notebook…"), {}, [&] { files.rescueNotebook(); }),
        deed("log", Group::Mend, tr("Show the log"), {}, [&] { files.showLog(); }),
    };
}

} // namespace

std::vector<Deed> frameDeeds(Workbench& bench, FileActions& files) {
    std::vector<Deed> all = workDeeds(bench, files);
    for (const QString& path : files.recentNotebooks()) {
        const QString words = tr("Open %1").arg(QFileInfo(path).completeBaseName());
        all.push_back({QStringLiteral("recent:") + path, Deed::Group::Recent, words, {}, [&files, path] {
                           files.open(path);
                       }});
    }
    for (Deed& one : notebookDeeds(bench, files)) {
        all.push_back(std::move(one));
    }
    return all;
}

} // namespace anodex::app
