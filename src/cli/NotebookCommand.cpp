#include "cli/NotebookCommand.h"

#include "cli/Command.h"
#include "notebook/Copies.h"
#include "wording/ErrorText.h"
#include "wording/Listing.h"
#include "wording/Texts.h"

#include <algorithm>

namespace anodex::cli {
namespace {

using formats::Json;
using notebook::NotebookError;

int exitFor(NotebookError::Code code) {
    switch (code) {
    case NotebookError::Code::NotANotebook:
    case NotebookError::Code::Newer:
    case NotebookError::Code::Damaged:
        return kWrongInput;
    default:
        return kCouldNot;
    }
}

[[noreturn]] void stop(const std::string& path, const NotebookError& error) {
    throw stopAt(exitFor(error.code), path, wording::errorText(error));
}

std::vector<std::string> told(const std::vector<base::Said>& list) {
    std::vector<std::string> words(list.size());
    std::transform(list.begin(), list.end(), words.begin(),
                   [](const base::Said& said) { return wording::text(said); });
    return words;
}

Json countsJson(const notebook::Counts& counts) {
    return {{"projects", counts.projects}, {"revisions", counts.revisions}, {"builds", counts.builds},
            {"readings", counts.readings}, {"events", counts.events},       {"runs", counts.runs},
            {"samples", counts.samples}};
}

} // namespace

namespace {

NotebookReport copied(const std::string& path, const std::string& to) {
    if (const auto done = notebook::copyNotebook(path, to); !done) {
        stop(done.error().code == NotebookError::Code::Exists ? to : path, done.error());
    }
    return {{{"ok", true}, {"copy", to}}, kGood};
}

NotebookReport rescued(const std::string& path, const std::string& to) {
    const auto done = notebook::rescueNotebook(path, to);
    if (!done) {
        stop(done.error().code == NotebookError::Code::Exists ? to : path, done.error());
    }
    return {{{"ok", done->lost.empty()}, {"counts", countsJson(done->kept)}, {"lost", told(done->lost)}},
            kGood};
}

NotebookReport restored(const std::string& path, const std::string& backup) {
    const auto done = notebook::restoreNotebook(path, backup);
    if (!done) {
        stop(done.error().code == NotebookError::Code::LockedElsewhere ? path : backup, done.error());
    }
    return {{{"ok", true}, {"kept_as", *done}}, kGood};
}

} // namespace

NotebookReport inspectNotebook(const std::string& path, const std::string& verb, const std::string& other) {
    if (verb == "copy" || verb == "rescue" || verb == "restore") {
        if (other.empty()) {
            throw stopAt(kUsage, "notebook " + verb, wording::text("cli.other-file"));
        }
        return verb == "copy"     ? copied(path, other)
               : verb == "rescue" ? rescued(path, other)
                                  : restored(path, other);
    }
    if (verb == "export" || verb == "import") {
        throw stopAt(kUsage, "notebook " + verb, wording::text("cli.not-yet"));
    }
    if (verb != "info" && verb != "check") {
        throw misfit("notebook", verb, wording::choiceOf({"info", "check", "copy", "rescue", "restore"}));
    }
    const auto book = notebook::Notebook::open(path, notebook::OpenMode::Read);
    if (!book) {
        stop(path, book.error());
    }
    const auto counts = book->counts();
    if (!counts) {
        stop(path, counts.error());
    }
    std::vector<std::string> problems;
    if (verb == "check") {
        const auto found = book->check();
        if (!found) {
            stop(path, found.error());
        }
        problems = told(*found);
    }
    NotebookReport report;
    report.json = {{"ok", problems.empty()}, {"counts", countsJson(*counts)}, {"problems", problems}};
    report.exit = problems.empty() ? kGood : kWrongInput;
    return report;
}

Command notebookCommand() {
    return {"notebook",
            "anodex-cli notebook shed.anodex check",
            {{"FILE", "*.anodex", true}, {"VERB", "verb", true}, {"OTHER", "file"}},
            [](const Call& call) -> int {
                const std::string& path = call.text("FILE");
                const NotebookReport report = inspectNotebook(path, call.text("VERB"), call.text("OTHER"));
                print(call.console(), report.json);
                if (report.exit != kGood) {
                    throw stopAt(report.exit, path, wording::text("cli.damaged"));
                }
                return kGood;
            }};
}

} // namespace anodex::cli
