#include "tests/fuzz/DamagedNotebook.h"

#include "notebook/Notebook.h"
#include "notebook/RunWriter.h"
#include "tests/support/Samples.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <algorithm>
#include <fmt/format.h>
#include <random>
#include <stdexcept>

namespace anodex::fuzz {
namespace {

using notebook::Notebook;
using notebook::OpenMode;

// Each with one blank for a random number; ORDER BY makes the row it hits follow from it.
constexpr const char* kStatements[] = {
    "UPDATE reading SET value = value + 0.001 WHERE rowid = 1 + {} % (SELECT max(rowid) FROM reading)",
    "UPDATE reading SET value = 'much' WHERE rowid = 1 + {} % (SELECT max(rowid) FROM reading)",
    "UPDATE reading SET quantity = 99 WHERE rowid = 1 + {} % (SELECT max(rowid) FROM reading)",
    "UPDATE reading SET taken = taken + 60000 WHERE rowid = 1 + {} % (SELECT max(rowid) FROM reading)",
    "DELETE FROM reading WHERE rowid = 1 + {} % (SELECT max(rowid) FROM reading)",
    "INSERT INTO reading SELECT 'copy', build, quantity, side, value, load_ohm, taken + {}, note, struck "
    "FROM reading LIMIT 1",
    "UPDATE event SET text = 'nothing' WHERE rowid = 1 + {} % (SELECT max(rowid) FROM event)",
    "DELETE FROM event WHERE rowid = 1 + {} % (SELECT max(rowid) FROM event)",
    "UPDATE revision SET design = '{{' WHERE rowid = 1 + {} % (SELECT max(rowid) FROM revision)",
    "UPDATE revision SET design = replace(design, 'zinc', 'unobtainium') WHERE rowid = 1 + {} % 2",
    "UPDATE revision SET parent = id WHERE rowid = 1 + {} % (SELECT max(rowid) FROM revision)",
    "UPDATE revision SET parent = 'nobody' WHERE rowid = 1 + {} % (SELECT max(rowid) FROM revision)",
    "UPDATE revision SET name = '' WHERE rowid = 1 + {} % (SELECT max(rowid) FROM revision)",
    "UPDATE build SET expectation = '[]' WHERE rowid = 1 + {} % (SELECT max(rowid) FROM build)",
    "UPDATE build SET built = 'then' WHERE rowid = 1 + {} % (SELECT max(rowid) FROM build)",
    "DELETE FROM build WHERE rowid = 1 + {} % (SELECT max(rowid) FROM build)",
    "UPDATE project SET name = name || {}",
    "UPDATE document SET kind = 7 + {} % 2",
    "UPDATE document SET text = '{{}}' || {}",
    "UPDATE run SET samples = samples + 1 + {} % 9 WHERE rowid = 1",
    "UPDATE run SET set_aside = 1 - set_aside WHERE rowid = 1 + {} % 2",
    "DELETE FROM run WHERE rowid = 1 + {} % 2",
    "DELETE FROM run_chunk WHERE rowid = 1 + {} % (SELECT max(rowid) FROM run_chunk)",
    "UPDATE run_chunk SET column_name = 7 WHERE rowid = 1 + {} % (SELECT max(rowid) FROM run_chunk)",
    "UPDATE run_chunk SET data = substr(data, 1, length(data) - 8) WHERE rowid = 1 + {} % (SELECT max(rowid) "
    "FROM run_chunk)",
    "UPDATE run_chunk SET data = zeroblob(length(data)) WHERE rowid = 1 + {} % (SELECT max(rowid) FROM "
    "run_chunk)",
    "UPDATE run_chunk SET data = x'FFFFFFFFFFFFFFFF' || substr(data, 9) WHERE rowid = 1 + {} % (SELECT "
    "max(rowid) FROM run_chunk)",
    "UPDATE run_chunk SET data = 'text' WHERE rowid = 1 + {} % (SELECT max(rowid) FROM run_chunk)",
    "UPDATE run_chunk SET run = 'nobody' WHERE rowid = 1 + {} % (SELECT max(rowid) FROM run_chunk)",
    "UPDATE run_chunk SET low = low - {}",
    "UPDATE run_tail SET data = substr(data, 9) WHERE rowid = 1 + {} % (SELECT max(rowid) FROM run_tail)",
    "UPDATE run_tail SET data = zeroblob(length(data)) WHERE rowid = 1 + {} % (SELECT max(rowid) FROM "
    "run_tail)",
    "UPDATE run_tail SET sample = sample + 100000 + {} % 9",
    "DELETE FROM run_tail WHERE rowid = 1 + {} % (SELECT max(rowid) FROM run_tail)",
    "UPDATE channel SET factor = factor * (2 + {} % 9) WHERE name = 'current'",
    "UPDATE channel SET name = 'current' || {} WHERE number = 1",
    "DELETE FROM channel WHERE rowid = 1 + {} % (SELECT max(rowid) FROM channel)",
    "UPDATE run_level SET high = high + 1 + {} WHERE column_name = 1",
    "DELETE FROM run_level WHERE level = 1 + {} % 3",
    "UPDATE history SET changeset = x'00' WHERE id = 1 + {} % (SELECT max(id) FROM history)",
    "UPDATE history SET changeset = substr(changeset, 1, 1 + {} % 80)",
    "UPDATE history SET changeset = CAST(substr(changeset, 1, 40) || x'FF' || substr(changeset, 42) AS BLOB) "
    "WHERE id = 1 + {} % (SELECT max(id) FROM history)",
    "DELETE FROM history WHERE id = 1 + {} % (SELECT max(id) FROM history)",
    "UPDATE history SET undone = 1 - undone WHERE id = 1 + {} % 3",
    "CREATE TABLE foreign_{} (x)",
    "CREATE TRIGGER t{} AFTER INSERT ON reading BEGIN DELETE FROM reading; END",
    "CREATE VIEW v{} AS SELECT * FROM reading",
    "DROP INDEX IF EXISTS reading_by_build; SELECT {}",
    "DROP TABLE document; SELECT {}",
    "DROP TABLE run_chunk; SELECT {}",
    "ALTER TABLE reading ADD COLUMN x{}",
    "PRAGMA user_version = {}; PRAGMA user_version = 77",
    "PRAGMA application_id = {}"};

template <typename T> void require(const notebook::Answer<T>& answer) {
    if (!answer) {
        throw std::runtime_error("the sound notebook: " + test::told(answer.error().detail));
    }
}

record::RunSamples samplesFor(std::mt19937_64& random, std::size_t count) {
    record::RunSamples samples;
    for (std::size_t i = 0; i < count; ++i) {
        samples.seconds.push_back(2.0 * static_cast<double>(i));
        samples.volts.push_back(1.0 + 1e-6 * static_cast<double>(random() % 1000));
        samples.amps.push_back(0.01);
    }
    return samples;
}

void hurtBytes(std::string& bytes, std::mt19937_64& random) {
    const std::uint64_t count = 1 + random() % 24;
    for (std::uint64_t i = 0; i < count; ++i) {
        bytes[random() % bytes.size()] ^= static_cast<char>(1 + random() % 255);
    }
}

void hurtPage(std::string& bytes, std::mt19937_64& random) {
    constexpr std::size_t kPage = 4096;
    const std::size_t pages = bytes.size() / kPage;
    const std::size_t at = (random() % pages) * kPage;
    switch (random() % 3) {
    case 0:
        std::fill_n(bytes.begin() + static_cast<std::ptrdiff_t>(at), kPage, '\0');
        break;
    case 1:
        std::copy_n(bytes.begin() + static_cast<std::ptrdiff_t>((random() % pages) * kPage), kPage,
                    bytes.begin() + static_cast<std::ptrdiff_t>(at));
        break;
    default:
        for (std::size_t i = 0; i < kPage; ++i) {
            bytes[at + i] = static_cast<char>(random());
        }
    }
}

} // namespace

void writeSoundNotebook(const std::filesystem::path& path, std::uint64_t seed) {
    std::mt19937_64 random(seed);
    auto book = Notebook::open(path.string(), OpenMode::Create, "fuzz").value();
    const design::CellDesign design = test::design(test::beakers());
    record::Millis now = 1'790'000'000'000;
    const auto keep = [&](const std::string& sentence, const std::vector<notebook::Change>& changes) {
        require(book.commit(sentence, now += 1000, changes));
    };
    keep("project", {record::Project{"p1", "Shed", now}});
    std::vector<std::string> builds;
    for (int r = 1; r <= 4; ++r) {
        design::CellDesign varied = design;
        varied.gapMetres = 0.01 * r;
        const auto id = fmt::format("r{}", r);
        keep("design", {record::Revision{id, "p1", r > 1 ? fmt::format("r{}", r - 1) : "", "Jar " + id,
                                         varied, now, false}});
        for (int b = 1; b <= 2; ++b) {
            record::Build build;
            build.id = fmt::format("{}-b{}", id, b);
            build.revision = id;
            build.name = fmt::format("build {}", b);
            build.built = now;
            build.asBuilt = varied;
            build.expectation.modelVersion = "1";
            keep("build", {build});
            builds.push_back(build.id);
        }
    }
    for (std::size_t i = 0; i < 30; ++i) {
        const std::string& build = builds[random() % builds.size()];
        record::Reading reading;
        reading.id = fmt::format("m{}", i);
        reading.build = build;
        reading.value = 1.0 + 1e-3 * static_cast<double>(random() % 100);
        reading.when = now;
        keep("reading", {reading});
        keep("event", {record::Event{fmt::format("e{}", i), build, now, "stirred", random() % 2 == 0}});
    }
    keep("shelf", {record::Document{"d1", record::DocumentKind::Shelf, "shelf",
                                    R"({"format": "anodex-shelf/1"})", false}});
    for (const std::size_t count : {5000U, 300U}) {
        record::RunHeader run;
        run.id = fmt::format("n{}", count);
        run.build = builds[random() % builds.size()];
        run.name = fmt::format("run of {}", count);
        require(book.importRun("run", now += 1000, run, samplesFor(random, count)));
    }
    record::RunHeader growing;
    growing.id = "growing";
    growing.build = builds[0];
    growing.name = "being recorded";
    auto writer = notebook::RunWriter::begin(path.string(), growing,
                                             {{"voltage", "V", 1.0}, {"current", "A", 1.0}}, "fuzz");
    const record::RunSamples recorded = samplesFor(random, 4400);
    for (std::size_t at = 0; writer && at < recorded.size(); at += 100) {
        require(writer->append(
            std::span(recorded.seconds).subspan(at, 100),
            {std::span(recorded.volts).subspan(at, 100), std::span(recorded.amps).subspan(at, 100)}));
    }
    keep("reading", {record::Reading{"last", builds[0], {}, {}, 1.0, {}, {}, {}, now, "", false}});
    require(book.undo());
    require(book.remember("station", "bench"));
}

Damage writeDamaged(const std::filesystem::path& sound, const std::filesystem::path& path, std::uint64_t seed,
                    std::uint64_t number) {
    std::mt19937_64 random(seed * 1'000'003 + number);
    std::string bytes = test::readText(sound);
    switch (number % 5) {
    case 0:
        hurtBytes(bytes, random);
        test::writeText(path, bytes);
        return {"bytes", false};
    case 1:
        hurtPage(bytes, random);
        test::writeText(path, bytes);
        return {"page", false};
    case 2:
        bytes.resize(random() % bytes.size());
        test::writeText(path, bytes);
        return {"cut", false};
    default:
        break;
    }
    test::writeText(path, bytes);
    const char* statement = kStatements[random() % std::size(kStatements)];
    const std::string sql = fmt::format(fmt::runtime(statement), random() % 10'000);
    SQLite::Database(path.string(), SQLite::OPEN_READWRITE).exec(sql);
    return {sql, true};
}

Seen seenIn(const std::filesystem::path& path) {
    Seen seen;
    const auto book = Notebook::open(path.string(), OpenMode::Read);
    const auto dump = book ? book->dump() : tl::unexpected(book.error());
    const auto builds = book ? book->builds() : tl::unexpected(book.error());
    if (!dump || !builds) {
        seen.refusal = test::told(dump ? builds.error().detail : dump.error().detail);
        return seen;
    }
    seen.content = *dump;
    for (const record::Build& build : *builds) {
        const auto runs = book->runs(build.id);
        for (const record::RunHeader& run : runs ? *runs : std::vector<record::RunHeader>()) {
            const auto samples = book->samples(run.id);
            if (!samples) {
                seen.refusal = test::told(samples.error().detail);
                return seen;
            }
            for (const auto* column : {&samples->seconds, &samples->volts, &samples->amps}) {
                seen.content.append(reinterpret_cast<const char*>(column->data()),
                                    column->size() * sizeof(double));
            }
        }
    }
    seen.readable = true;
    return seen;
}

std::string foundIn(const std::filesystem::path& path) {
    const auto book = Notebook::open(path.string(), OpenMode::Read);
    if (!book) {
        return "refused: " + test::told(book.error().detail);
    }
    const auto faults = book->check();
    if (!faults) {
        return "refused: " + test::told(faults.error().detail);
    }
    std::string text;
    for (const base::Said& fault : *faults) {
        text += test::told(fault) + "; ";
    }
    return text;
}

std::string verdictOn(const std::filesystem::path& path, const Damage& damage, const Seen& sound) {
    const Seen seen = seenIn(path);
    const bool differs = !seen.readable || seen.content != sound.content;
    const std::string found = foundIn(path);
    if (differs && found.empty()) {
        return "what differs was not found";
    }
    // A row that was changed has a place: a design, a build, a run, a document, a table.
    constexpr const char* kPlaces[] = {"\"Jar ",  "\"run of", "document", "table",
                                       "project", "history",  "made by"};
    const bool placed = std::any_of(std::begin(kPlaces), std::end(kPlaces), [&](const char* place) {
        return found.find(place) != std::string::npos;
    });
    if (differs && damage.logical && !found.starts_with("refused") && !placed) {
        return "found, but no place named: " + found;
    }
    return {};
}

} // namespace anodex::fuzz
