#include "cli/NotebookCommand.h"

#include "notebook/Notebook.h"
#include "wording/ErrorText.h"

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
    throw Stop{exitFor(error.code), path + ": " + wording::errorText(error)};
}

Json countsJson(const notebook::Counts& counts) {
    return {{"projects", counts.projects}, {"revisions", counts.revisions}, {"builds", counts.builds},
            {"readings", counts.readings}, {"events", counts.events},       {"runs", counts.runs},
            {"samples", counts.samples}};
}

} // namespace

NotebookReport inspectNotebook(const std::string& path, const std::string& verb) {
    if (verb == "export" || verb == "import") {
        throw Stop{kUsage, "notebook " + verb + ": not yet"};
    }
    if (verb != "info" && verb != "check") {
        throw Stop{kUsage, "notebook: \"" + verb + "\" is no verb; right would be info or check"};
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
        auto found = book->check();
        if (!found) {
            stop(path, found.error());
        }
        problems = std::move(*found);
    }
    NotebookReport report;
    report.json = {{"ok", problems.empty()}, {"counts", countsJson(*counts)}, {"problems", problems}};
    report.exit = problems.empty() ? kGood : kWrongInput;
    return report;
}

} // namespace anodex::cli
