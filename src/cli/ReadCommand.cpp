#include "cli/ReadCommand.h"

#include "cli/CellInput.h"
#include "cli/Command.h"
#include "cli/PlainText.h"
#include "core/cell/Evaluation.h"
#include "wording/entry/EntryLine.h"

namespace anodex::cli {
namespace {

using formats::Json;
using record::ReadingQuantity;
using record::ReadingSide;

constexpr record::Millis kNow = 0; // times are told as seconds before it

const char* kindOf(ReadingQuantity quantity) {
    switch (quantity) {
    case ReadingQuantity::OpenCircuitVoltage:
        return "open_circuit_voltage";
    case ReadingQuantity::LoadedVoltage:
        return "loaded_voltage";
    case ReadingQuantity::ShortCircuitCurrent:
        return "short_circuit_current";
    case ReadingQuantity::Current:
        return "loaded_current";
    case ReadingQuantity::Acidity:
        return "pH";
    case ReadingQuantity::Resistance:
        return "resistance";
    case ReadingQuantity::Temperature:
        return "temperature";
    case ReadingQuantity::Density:
        return "density";
    case ReadingQuantity::Mass:
        return "mass";
    case ReadingQuantity::Level:
        return "level";
    }
    return "";
}

const char* unitOf(ReadingQuantity quantity) {
    switch (quantity) {
    case ReadingQuantity::OpenCircuitVoltage:
    case ReadingQuantity::LoadedVoltage:
        return "V";
    case ReadingQuantity::ShortCircuitCurrent:
    case ReadingQuantity::Current:
        return "A";
    case ReadingQuantity::Resistance:
        return "ohm";
    case ReadingQuantity::Temperature:
        return "K";
    case ReadingQuantity::Density:
        return "kg/m3";
    case ReadingQuantity::Mass:
        return "kg";
    case ReadingQuantity::Level:
        return "m";
    case ReadingQuantity::Acidity:
        return "pH";
    }
    return "";
}

Json readingJson(const record::Reading& reading) {
    Json json = {
        {"kind", kindOf(reading.quantity)}, {"value", reading.value}, {"unit", unitOf(reading.quantity)}};
    if (reading.loadOhm) {
        json["load"]["resistance_ohm"] = *reading.loadOhm;
    }
    if (reading.device) {
        json["load"]["device"] = reading.device->id;
    }
    if (reading.loadedSeconds) {
        json["after_s"] = *reading.loadedSeconds;
    }
    if (reading.when != kNow) {
        json["ago_s"] = static_cast<double>(kNow - reading.when) / 1000.0;
    }
    if (reading.side != ReadingSide::Whole) {
        json["side"] = reading.side == ReadingSide::Negative ? "negative" : "positive";
    }
    if (!reading.note.empty()) {
        json["note"] = reading.note;
    }
    return json;
}

wording::Entry entryOf(const chemistry::Catalogue& catalogue, const std::string& text,
                       const std::string& cellPath) {
    wording::EntryContext context{{}, {}, &catalogue.loads};
    if (!cellPath.empty()) {
        const CellInput input = readCell(catalogue, cellPath);
        const cell::Evaluation evaluation = cell::evaluate(catalogue, input.cell, {0});
        context.openCircuitVolts = evaluation.openCircuitVolts;
        context.shortCircuitAmps = evaluation.first.shortCircuitAmps;
    }
    return wording::readEntry(text, kNow, context);
}

Json entryJson(const wording::Entry& entry) {
    Json json = {{"understood", Json::array()}, {"asks", Json::array()}};
    switch (entry.kind) {
    case wording::Entry::Kind::Reading:
        json["understood"].push_back(readingJson(entry.reading));
        for (const record::Reading& reading : entry.also) {
            json["understood"].push_back(readingJson(reading));
        }
        break;
    case wording::Entry::Kind::Event:
    case wording::Entry::Kind::Note:
        json["understood"].push_back({{"kind", entry.kind == wording::Entry::Kind::Event ? "event" : "note"},
                                      {"note", entry.event.text}});
        break;
    case wording::Entry::Kind::Question:
        json["asks"].push_back(asked(entry.question));
        break;
    case wording::Entry::Kind::Nothing:
        break;
    }
    return json;
}

} // namespace

Json readLine(const chemistry::Catalogue& catalogue, const std::string& text, const std::string& cellPath) {
    return entryJson(entryOf(catalogue, text, cellPath));
}

Command readCommand() {
    return {"read",
            "anodex-cli read '0.71 V at 1k after 10 min' --cell lemon.cell.json",
            {{"TEXT", "text", true}, {"--cell", "CELL"}},
            [](const Call& call) -> int {
                const Console& console = call.console();
                const wording::Entry entry =
                    entryOf(call.catalogue(), call.text("TEXT"), call.text("--cell"));
                const Json json = entryJson(entry);
                if (console.json) {
                    print(console, json);
                } else if (entry.kind == wording::Entry::Kind::Question) {
                    console.output << asksText(json["asks"], console.screen);
                } else {
                    console.output << wrapped("", entry.echo, console.screen);
                }
                return kGood;
            }};
}

} // namespace anodex::cli
