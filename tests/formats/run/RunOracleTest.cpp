// Three hundred files of known truth: sixty layouts of loggers, each sound and with four faults. One oracle
// says what came of each: right, asked, refused, or wrong without a word, which must never be.
#include "formats/run/RunCsv.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <fmt/format.h>
#include <fstream>
#include <functional>
#include <gtest/gtest.h>
#include <iostream>
#include <map>
#include <random>

namespace anodex::formats {
namespace {

/// One minute on, one minute off, at 20 mA, falling from 1.5 V; a row every ten seconds.
struct Truth {
    std::vector<double> seconds;
    std::vector<double> volts;
    std::vector<double> amps;
};

Truth truth() {
    Truth made;
    std::mt19937 random(5);
    for (int i = 0; i < 60; ++i) {
        const bool on = i % 12 >= 6;
        made.seconds.push_back(10.0 * i);
        made.amps.push_back(on ? 0.02 : 0.0);
        const double noise = 1e-4 * (static_cast<double>(random() % 7) - 3.0);
        made.volts.push_back(std::round((1.487 - 0.0021 * i - (on ? 0.083 : 0.0) + noise) * 1e4) / 1e4);
    }
    return made;
}

std::string comma(std::string text) {
    std::replace(text.begin(), text.end(), '.', ',');
    return text;
}

/// 2026-03-01 12:00:00 and so many seconds.
std::string stamp(double seconds, const char* form) {
    const int s = static_cast<int>(seconds);
    const int h = 12 + s / 3600;
    const int m = s / 60 % 60;
    return fmt::format(fmt::runtime(form), fmt::arg("h", h), fmt::arg("m", m), fmt::arg("s", s % 60),
                       fmt::arg("h12", h > 12 ? h - 12 : h), fmt::arg("d", 21), fmt::arg("d3", 3));
}

using Cell = std::function<std::string(const Truth&, std::size_t)>;

Cell seconds(double perUnit, const char* form = "{:g}") {
    return [=](const Truth& t, std::size_t i) {
        return fmt::format(fmt::runtime(form), t.seconds[i] / perUnit);
    };
}
Cell volts(double perUnit = 1.0, const char* form = "{:.4f}") {
    return
        [=](const Truth& t, std::size_t i) { return fmt::format(fmt::runtime(form), t.volts[i] / perUnit); };
}
Cell amps(double perUnit = 1.0, const char* form = "{:.4f}") {
    return
        [=](const Truth& t, std::size_t i) { return fmt::format(fmt::runtime(form), t.amps[i] / perUnit); };
}
Cell at(const char* form) {
    return [=](const Truth& t, std::size_t i) { return stamp(t.seconds[i], form); };
}
Cell number(double offset, const char* form = "{:.0f}") {
    return
        [=](const Truth& t, std::size_t i) { return fmt::format(fmt::runtime(form), offset + t.seconds[i]); };
}
Cell withComma(const Cell& cell) {
    return [=](const Truth& t, std::size_t i) { return comma(cell(t, i)); };
}

struct Layout {
    const char* name;
    std::string header; ///< With line end, or empty.
    std::string delimiter;
    std::vector<Cell> cells;
    std::function<std::string(std::string)> finish = {}; ///< Of the whole file.
    std::string lineEnd = "\n";
};

std::string utf16(std::string text) {
    std::string bytes = "\xFF\xFE";
    for (const char c : text) {
        bytes += c;
        bytes += '\0';
    }
    return bytes;
}

std::string newestFirst(std::string text) {
    std::vector<std::string> lines;
    for (std::size_t from = 0; from < text.size();) {
        const std::size_t end = text.find('\n', from) + 1;
        lines.push_back(text.substr(from, end - from));
        from = end;
    }
    std::reverse(lines.begin() + 1, lines.end());
    std::string result;
    for (const std::string& line : lines) {
        result += line;
    }
    return result;
}

std::vector<Layout> layouts() {
    const Cell s = seconds(1.0);
    const Cell v = volts();
    const Cell a = amps();
    const Cell iso = at("2026-03-{d:02} {h:02}:{m:02}:{s:02}");
    const Cell clock = at("{h:02}:{m:02}:{s:02}");
    const auto spread = [](std::string text) { return text; };
    return {
        {"plain", "time (s),voltage (V),current (A)\n", ",", {s, v, a}},
        {"brackets", "Time [s],Voltage [V],Current [A]\n", ",", {s, v, a}},
        {"strokes", "Time / s,Voltage / V,Current / A\n", ",", {s, v, a}},
        {"underscores", "elapsed_s,cell_V,load_A\n", ",", {s, v, a}},
        {"in words", "seconds,volts,amps\n", ",", {s, v, a}},
        {"capitals", "TIME(S),VOLTAGE(V),CURRENT(A)\n", ",", {s, v, a}},
        {"milliunits",
         "time (s),voltage (mV),current (mA)\n",
         ",",
         {s, volts(1e-3, "{:.1f}"), amps(1e-3, "{:.1f}")}},
        {"whole milliunits",
         "t_ms,u_mV,i_mA\n",
         ",",
         {seconds(1e-3), volts(1e-3, "{:.0f}"), amps(1e-3, "{:.0f}")}},
        {"microamps", "time (s);U (V);I (µA)\n", ";", {s, v, amps(1e-6, "{:.0f}")}},
        {"other micro", "time (s);U (V);I (uA)\n", ";", {s, v, amps(1e-6, "{:.0f}")}},
        {"minutes", "time (min),voltage (V),current (A)\n", ",", {seconds(60.0, "{:.6f}"), v, a}},
        {"hours", "time (h),voltage (V),current (A)\n", ",", {seconds(3600.0, "{:.8f}"), v, a}},
        {"semicolon commas", "Zeit [s];Spannung [V];Strom [A]\n", ";", {s, withComma(v), withComma(a)}},
        {"tab commas",
         "Zeit (s)\tSpannung (V)\tStrom (mA)\n",
         "\t",
         {s, withComma(v), withComma(amps(1e-3, "{:.2f}"))}},
        {"french", "temps (s);tension (V);courant (A)\n", ";", {s, withComma(v), withComma(a)}},
        {"tabs", "time (s)\tvoltage (V)\tcurrent (A)\n", "\t", {s, v, a}},
        {"bars", "time (s)|voltage (V)|current (A)\n", "|", {s, v, a}},
        {"blanks", "t_s  U_V  I_A\n", "   ", {s, v, a}},
        {"unit row", "Time,Voltage,Current\ns,V,mA\n", ",", {s, v, amps(1e-3, "{:.1f}")}},
        {"three header lines", "logger 7\nshed\ntime (s),voltage (V),current (A)\n", ",", {s, v, a}},
        {"hash header", "# time (s),voltage (V),current (A)\n", ",", {s, v, a}},
        {"iso", "date,voltage (V),current (A)\n", ",", {iso, v, a}},
        {"iso T",
         "timestamp,voltage (V),current (A)\n",
         ",",
         {at("2026-03-{d:02}T{h:02}:{m:02}:{s:02}"), v, a}},
        {"iso Z",
         "timestamp,voltage (V),current (A)\n",
         ",",
         {at("2026-03-{d:02}T{h:02}:{m:02}:{s:02}Z"), v, a}},
        {"iso offset",
         "timestamp,voltage (V),current (A)\n",
         ",",
         {at("2026-03-{d:02}T{h:02}:{m:02}:{s:02}+01:00"), v, a}},
        {"iso milliseconds",
         "timestamp,voltage (V),current (A)\n",
         ",",
         {at("2026-03-{d:02} {h:02}:{m:02}:{s:02}.000"), v, a}},
        {"slashes year first",
         "time,voltage (V),current (A)\n",
         ",",
         {at("2026/03/{d:02} {h:02}:{m:02}:{s:02}"), v, a}},
        {"day first",
         "Zeit;Spannung (V);Strom (A)\n",
         ";",
         {at("{d:02}.03.2026 {h:02}:{m:02}:{s:02}"), withComma(v), withComma(a)}},
        {"month first",
         "time,voltage (V),current (A)\n",
         ",",
         {at("03/{d:02}/2026 {h:02}:{m:02}:{s:02}"), v, a}},
        {"month name",
         "time,voltage (V),current (A)\n",
         ",",
         {at("{d:02} Mar 2026 {h:02}:{m:02}:{s:02}"), v, a}},
        {"am pm", "time,voltage (V),current (A)\n", ",", {at("03/{d:02}/2026 {h12}:{m:02}:{s:02} PM"), v, a}},
        {"two columns", "date,time,voltage (V),current (A)\n", ",", {at("2026-03-{d:02}"), clock, v, a}},
        {"two columns day first",
         "Datum;Uhrzeit;Spannung (V);Strom (A)\n",
         ";",
         {at("{d:02}.03.2026"), clock, withComma(v), withComma(a)}},
        {"two columns of blanks", "date time U_V I_A\n", " ", {at("2026-03-{d:02}"), clock, v, a}},
        {"day unsure",
         "time,voltage (V),current (A)\n",
         ",",
         {at("03/{d3:02}/2026 {h:02}:{m:02}:{s:02}"), v, a}},
        {"clock", "time,voltage (V),current (A)\n", ",", {clock, v, a}},
        {"elapsed clock",
         "elapsed,voltage (V),current (A)\n",
         ",",
         {[](const Truth& t, std::size_t i) {
              return fmt::format("0:{:02}:{:02}", int(t.seconds[i]) / 60, int(t.seconds[i]) % 60);
          },
          v, a}},
        {"days and clock",
         "elapsed,voltage (V),current (A)\n",
         ",",
         {[](const Truth& t, std::size_t i) {
              return fmt::format("0 00:{:02}:{:02}", int(t.seconds[i]) / 60, int(t.seconds[i]) % 60);
          },
          v, a}},
        {"minutes and seconds",
         "elapsed,voltage (V),current (A)\n",
         ",",
         {[](const Truth& t, std::size_t i) {
              return fmt::format("{:02}:{:02}", int(t.seconds[i]) / 60, int(t.seconds[i]) % 60);
          },
          v, a}},
        {"epoch", "timestamp,voltage (V),current (A)\n", ",", {number(1772366400.0), v, a}},
        {"epoch ms",
         "timestamp,voltage (V),current (A)\n",
         ",",
         {[](const Truth& t, std::size_t i) {
              return fmt::format("{:.0f}", 1772366400e3 + 1000.0 * t.seconds[i]);
          },
          v, a}},
        {"sheet days",
         "date,voltage (V),current (A)\n",
         ",",
         {[](const Truth& t, std::size_t i) {
              return fmt::format("{:.8f}", 46082.5 + t.seconds[i] / 86400.0);
          },
          v, a}},
        {"millis", "millis,voltage (V),current (mA)\n", ",", {seconds(1e-3), v, amps(1e-3, "{:.2f}")}},
        {"wrapped millis",
         "millis,voltage (V),current (mA)\n",
         ",",
         {[](const Truth& t, std::size_t i) {
              return fmt::format("{:.0f}", std::fmod(4294867296.0 + 1000.0 * t.seconds[i], 4294967296.0));
          },
          v, amps(1e-3, "{:.2f}")}},
        {"battery data format",
         "Test Time / s,Voltage / V,Current / A\n",
         ",",
         {s, v, [](const Truth& t, std::size_t i) { return fmt::format("{}", -t.amps[i]); }}},
        {"positive on charge",
         "time (s),voltage (V),current (A)\n",
         ",",
         {s, v, [](const Truth& t, std::size_t i) { return fmt::format("{}", -t.amps[i]); }}},
        {"number column",
         "no,time (s),voltage (V),temperature (C),current (A)\n",
         ",",
         {[](const Truth&, std::size_t i) { return std::to_string(i + 1); }, s, v,
          [](const Truth&, std::size_t) { return "20.5"; }, a}},
        {"supply beside",
         "time (s),supply voltage (V),cell voltage (V),current (A)\n",
         ",",
         {s, [](const Truth&, std::size_t) { return "5.01"; }, v, a}},
        {"key value",
         "",
         " ",
         {[s](const Truth& t, std::size_t i) { return "t_s=" + s(t, i); },
          [v](const Truth& t, std::size_t i) { return "u_V=" + v(t, i); },
          [a](const Truth& t, std::size_t i) { return "i_A=" + a(t, i); }}},
        {"serial monitor", "", "", {[v](const Truth& t, std::size_t i) {
             return stamp(t.seconds[i], "{h:02}:{m:02}:{s:02}.000") + " -> " + v(t, i) + "," +
                    fmt::format("{:.4f}", t.amps[i]);
         }}},
        {"quoted",
         "\"time (s)\",\"voltage (V)\",\"current (A)\"\n",
         ",",
         {[s](const Truth& t, std::size_t i) { return "\"" + s(t, i) + "\""; },
          [v](const Truth& t, std::size_t i) { return "\"" + v(t, i) + "\""; },
          [a](const Truth& t, std::size_t i) { return "\"" + a(t, i) + "\""; }}},
        {"utf-16", "time (s),voltage (V),current (A)\n", ",", {s, v, a}, utf16},
        {"latin-1", "time (s);Spannung f\xFCr Zelle (V);Strom (A)\n", ";", {s, withComma(v), withComma(a)}},
        {"carriage returns", "time (s),voltage (V),current (A)\r", ",", {s, v, a}, spread, "\r"},
        {"windows ends", "time (s),voltage (V),current (A)\r\n", ",", {s, v, a}, spread, "\r\n"},
        {"newest first", "timestamp,voltage (V),current (A)\n", ",", {iso, v, a}, newestFirst},
        {"exponents",
         "time (s),voltage (V),current (A)\n",
         ",",
         {s, volts(1.0, "{:.6e}"), amps(1.0, "{:.6e}")}},
        {"no header", "", ",", {s, v, a}},
        {"no units", "time,voltage,current\n", ",", {s, v, a}},
        {"mislabelled",
         "time (s),voltage (V),current (A)\n",
         ",",
         {s, volts(1e-3, "{:.0f}"), amps(1e-3, "{:.1f}")}},
    };
}

constexpr const char* kFaults[] = {"sound", "overload", "short row", "remark", "header again"};

std::string fileOf(const Layout& layout, const Truth& t, const std::string& fault) {
    std::string text = layout.header;
    for (std::size_t i = 0; i < t.seconds.size(); ++i) {
        std::string line;
        for (std::size_t c = 0; c < layout.cells.size(); ++c) {
            line += (c > 0 ? layout.delimiter : "") + layout.cells[c](t, i);
        }
        if (i == 30 && fault == "overload") {
            // The last number of the row is lost.
            const std::size_t from = line.find_last_of(",;\t| =\"", line.size() - 2);
            line = line.substr(0, from + 1) + "OL" + (line.ends_with('"') ? "\"" : "");
        } else if (i == 30 && fault == "short row") {
            line = line.substr(0, line.size() / 3);
        } else if (i == 30 && fault == "remark") {
            text += "# stirred" + layout.lineEnd;
        } else if (i == 30 && fault == "header again" && !layout.header.empty()) {
            text += layout.header;
        }
        text += line + layout.lineEnd;
    }
    return layout.finish ? layout.finish(text) : text;
}

enum class Came { Right, Asked, Refused, Wrong };

/// Every sample that was read is one of the truth's, in its place, and hardly any is missing.
bool matches(const record::RunSamples& got, const Truth& t) {
    std::size_t k = 0;
    for (std::size_t i = 0; i < got.size(); ++i) {
        const double at = got.seconds[i] - got.seconds[0];
        while (k < t.seconds.size() && std::abs(t.seconds[k] - at) > 0.02) {
            ++k;
        }
        if (k == t.seconds.size() || std::abs(got.volts[i] - t.volts[k]) > 2e-3 ||
            std::abs(got.amps[i] - t.amps[k]) > 1e-4) {
            return false;
        }
    }
    return got.size() + 2 >= t.seconds.size();
}

Came judge(const std::string& file, const Truth& t, std::string& why) {
    const auto preview = previewCsv(file);
    if (!preview) {
        why = "refused " + std::to_string(static_cast<int>(preview.error().code));
        return Came::Refused;
    }
    const auto run = readCsv(file, preview->mapping);
    const auto questions = preview->questions();
    if (!questions.empty()) {
        why = "asked " + std::to_string(static_cast<int>(questions.front().kind));
        return Came::Asked;
    }
    if (!run) {
        why = "refused " + std::to_string(static_cast<int>(run.error().code)) + " line " +
              std::to_string(run.error().line);
        return Came::Refused;
    }
    return matches(run->samples, t) ? Came::Right : Came::Wrong;
}

TEST(RunOracle, OfThreeHundredFilesMostAreReadAndNoneWrongly) {
    const Truth t = truth();
    std::map<Came, int> tally;
    std::string misses;
    const std::vector<Layout> all = layouts();
    ASSERT_EQ(all.size(), 60U);
    for (const Layout& layout : all) {
        for (const char* fault : kFaults) {
            std::string why;
            const std::string file = fileOf(layout, t, fault);
            const Came came = judge(file, t, why);
            ++tally[came];
            if (came != Came::Right) {
                misses +=
                    fmt::format("  {} {}: {}\n", layout.name, fault, came == Came::Wrong ? "WRONG" : why);
            }
            EXPECT_NE(came, Came::Wrong) << layout.name << " " << fault;
        }
    }
    std::cout << fmt::format("{} right, {} asked, {} refused, {} wrong\n", tally[Came::Right],
                             tally[Came::Asked], tally[Came::Refused], tally[Came::Wrong])
              << misses;
    // Each of the thirty that are asked about has two readings that survive.
    EXPECT_EQ(tally[Came::Refused], 0);
    EXPECT_GE(tally[Came::Right], 270);
}

} // namespace
} // namespace anodex::formats
