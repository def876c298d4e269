#include "demo/Lines.h"

namespace anodex::demo {
namespace {

using design::CellDesign;
using record::Id;
using record::Millis;
using record::Revision;

void setAreas(CellDesign& design, double squareMetres) {
    design.negative.wettedAreaM2 = squareMetres;
    design.positive.wettedAreaM2 = squareMetres;
}

} // namespace

/// Air: foil and charcoal in brine drive a buzzer when the night turns cold.
void frostAlarm(DemoBook& book) {
    const Millis start = kSpring - 110 * kDay;
    CellDesign design = DemoBook::starter("foil-salt");
    const Revision first = book.revision("Frost alarm 1", {}, design, start);
    const Id firstBuild = book.build(first, "build 1", start);
    book.read(firstBuild, design, start + 2 * kHour, -0.06, 0.7, "carbon still dry in places");
    book.run(firstBuild, design, "47 ohm buzzer, 40 min", start + 3 * kHour,
             {47.0, 0.67, 0.2, 400, 0.003, 2.0, 0.0, 21});
    book.event(firstBuild, start + 5 * kHour, "buzzes, but faintly", false);

    setAreas(design, 0.006);
    const Revision second = book.revision("Frost alarm 2", first.id, design, start + 3 * kDay);
    const Id good = book.build(second, "build 1", start + 3 * kDay);
    book.read(good, design, start + 3 * kDay + 2 * kHour, 0.01, 0.95, "");
    book.run(good, design, "47 ohm buzzer overnight", start + 3 * kDay + 3 * kHour,
             {47.0, 14.0, 0.2, 700, 0.003, 0.0, 0.0, 22, 6.0, 8.5});
    const Id dried = book.build(second, "build 2", start + 9 * kDay);
    book.read(dried, design, start + 9 * kDay + 2 * kHour, -0.12, 0.2, "clip turned green");
    book.event(dried, start + 9 * kDay + 4 * kHour, "brine dried up under the lid, topped up", true);
    book.run(dried, design, "47 ohm buzzer, second try", start + 9 * kDay + 5 * kHour,
             {47.0, 9.0, 0.2, 500, 0.006, 30.0, 0.5, 23});

    design.negative.material = "magnesium ribbon";
    const Revision third = book.revision("Frost alarm 3", second.id, design, start + 14 * kDay);
    const Id thirdBuild = book.build(third, "build 1", start + 14 * kDay);
    book.read(thirdBuild, design, start + 14 * kDay + kHour, -0.03, 0.9, "fizzes a little");
    book.run(thirdBuild, design, "47 ohm buzzer overnight", start + 14 * kDay + 2 * kHour,
             {47.0, 14.0, 0.2, 700, 0.003, 0.0, 0.0, 24});
    book.event(thirdBuild, start + 15 * kDay, "woke the whole lane", false);
}

/// Lead-acid: the lamp over the seed shelf.
void seedLamp(DemoBook& book) {
    const Millis start = kSpring - 90 * kDay;
    CellDesign design = DemoBook::starter("lead");
    setAreas(design, 0.0012);
    const Revision first = book.revision("Seed lamp 1", {}, design, start);
    const Id firstBuild = book.build(first, "build 1", start);
    book.read(firstBuild, design, start + 2 * kHour, -0.01, 0.8, "plates chocolate brown");
    book.run(firstBuild, design, "10 ohm lamp", start + 3 * kHour,
             {10.0, 6.0, 1.7, 600, 0.002, 0.0, 0.0, 31});

    setAreas(design, 0.005);
    const Revision second = book.revision("Seed lamp 2", first.id, design, start + 6 * kDay);
    const Id loose = book.build(second, "build 1", start + 6 * kDay);
    book.read(loose, design, start + 6 * kDay + kHour, -0.02, 0.12, "clip gets warm");
    book.event(loose, start + 6 * kDay + 2 * kHour, "clip sat on paint, scraped bright", true);
    const Id good = book.build(second, "build 2", start + 7 * kDay);
    book.read(good, design, start + 7 * kDay + kHour, 0.005, 0.95, "");
    book.run(good, design, "10 ohm lamp, evening", start + 7 * kDay + 2 * kHour,
             {10.0, 12.0, 1.7, 900, 0.002, 0.0, 0.0, 32});
    book.run(good, design, "standing three weeks, 10 kilohm", start + 8 * kDay,
             {10'000.0, 500.0, 1.0, 1000, 0.001, 0.0, 0.3, 33, 120.0, 190.0});

    design.liquid.solutes.front().amount.value = 0.15;
    const Revision third = book.revision("Seed lamp 3", second.id, design, start + 30 * kDay);
    const Id weak = book.build(third, "build 1", start + 30 * kDay);
    book.read(weak, design, start + 30 * kDay + kHour, -0.004, 0.9, "weaker acid, easier on the hands");
    book.run(weak, design, "10 ohm lamp, evening", start + 30 * kDay + 2 * kHour,
             {10.0, 12.0, 1.6, 900, 0.002, 0.0, 0.0, 34});
}

/// Food: lemons for the clock in the shed.
void shedClock(DemoBook& book) {
    const Millis start = kSpring - 44 * kDay;
    CellDesign design = DemoBook::starter("first");
    const Revision first = book.revision("Shed clock 1", {}, design, start);
    const Id firstBuild = book.build(first, "build 1", start);
    book.read(firstBuild, design, start + kHour, -0.03, 0.8, "one lemon, rolled soft");
    book.slip(firstBuild, 0.00071, start + 2 * kHour);
    book.run(firstBuild, design, "4.7 kilohm, a day", start + 3 * kHour,
             {4700.0, 24.0, 0.1, 480, 0.004, 0.0, 0.0, 41});

    design.liquid.ready = "vinegar";
    const Revision second = book.revision("Shed clock 2", first.id, design, start + 2 * kDay);
    const Id secondBuild = book.build(second, "build 1", start + 2 * kDay);
    book.read(secondBuild, design, start + 2 * kDay + kHour, 0.02, 1.1, "smells");

    setAreas(design, 0.001);
    const Revision third = book.revision("Shed clock 3", second.id, design, start + 4 * kDay);
    const Id thirdBuild = book.build(third, "build 1", start + 4 * kDay);
    book.read(thirdBuild, design, start + 4 * kDay + kHour, -0.01, 0.95, "");
    book.run(thirdBuild, design, "4.7 kilohm, ten days", start + 4 * kDay + 2 * kHour,
             {4700.0, 240.0, 0.1, 800, 0.004, 0.0, 0.0, 42, 60.0, 96.0});
    book.event(thirdBuild, start + 15 * kDay, "clock keeps time", false);
}

/// Salt water: the bell at the gate.
void doorBell(DemoBook& book) {
    const Millis start = kSpring - 55 * kDay;
    CellDesign design = DemoBook::starter("salt-pair");
    const Revision first = book.revision("Gate bell 1", {}, design, start);
    const Id firstBuild = book.build(first, "build 1", start);
    book.read(firstBuild, design, start + kHour, 0.01, 0.85, "");
    book.run(firstBuild, design, "470 ohm, an hour", start + 2 * kHour,
             {470.0, 1.0, 0.1, 360, 0.003, 0.0, 0.0, 51});

    setAreas(design, 0.008);
    const Revision second = book.revision("Gate bell 2", first.id, design, start + 2 * kDay);
    const Id secondBuild = book.build(second, "build 1", start + 2 * kDay);
    book.read(secondBuild, design, start + 2 * kDay + kHour, 0.0, 1.05, "jam jar, plates from a gutter");
    book.run(secondBuild, design, "470 ohm, two days", start + 2 * kDay + 2 * kHour,
             {470.0, 48.0, 0.1, 700, 0.003, 0.0, 0.0, 52});
    const Id touching = book.build(second, "build 2", start + 6 * kDay);
    book.read(touching, design, start + 6 * kDay + kHour, -0.45, 0.05, "plates lean on each other");
    book.event(touching, start + 6 * kDay + 2 * kHour, "taken apart", true);
}

/// Half cells: two jars and a paper strip, to check the meter by.
void meterCheck(DemoBook& book) {
    const Millis start = kSpring - 25 * kDay;
    CellDesign design = DemoBook::starter("beakers");
    const Revision first = book.revision("Meter check 1", {}, design, start);
    const Id firstBuild = book.build(first, "build 1", start);
    book.read(firstBuild, design, start + kHour, -0.002, 0.6, "strip not soaked through");
    const Id soaked = book.build(first, "build 2", start + kDay);
    book.read(soaked, design, start + kDay + kHour, 0.001, 1.1, "");
    setAreas(design, 0.004);
    const Revision second = book.revision("Meter check 2", first.id, design, start + 4 * kDay);
    const Id secondBuild = book.build(second, "build 1", start + 4 * kDay);
    book.read(secondBuild, design, start + 4 * kDay + kHour, 0.0, 1.0, "the strip is what sets the current");
}

/// Gravity: the beacon on the rain gauge.
void rainGauge(DemoBook& book) {
    CellDesign design = DemoBook::starter("gravity");
    design.name = "Rain gauge jar";
    design.temperatureKelvin = 285.15;
    design.gapMetres = 0.12;
    setAreas(design, 0.004);
    design.liquid.solutes.front().amount.value = 0.006;
    const Revision first = book.revision("Rain gauge jar 1", {}, design, kSpring);
    const Id firstBuild = book.build(first, "build 1", kSpring);
    book.read(firstBuild, design, kSpring + 2 * kHour, -0.004, 0.97, "first light");
    book.run(firstBuild, design, "22 ohm overnight", kSpring + 3 * kHour,
             {22.0, 30.0, 0.25, 900, 0.002, 0.0, 0.0, 11});
    book.event(firstBuild, kSpring + 34 * kHour, "beacon too dim, layers still sharp", false);

    design.gapMetres = 0.06;
    const Revision second = book.revision("Rain gauge jar 2", first.id, design, kSpring + 4 * kDay);
    const Id secondBuild = book.build(second, "build 1", kSpring + 4 * kDay);
    book.read(secondBuild, design, kSpring + 4 * kDay + 2 * kHour, 0.002, 1.03, "");
    book.run(secondBuild, design, "22 ohm overnight", kSpring + 4 * kDay + 3 * kHour,
             {22.0, 30.0, 0.25, 900, 0.002, 0.0, 0.0, 12});
    const Id carried = book.build(second, "build 2", kSpring + 8 * kDay);
    book.event(carried, kSpring + 8 * kDay + kHour, "carried the jar across the plot, layers mixed", true);
    book.read(carried, design, kSpring + 8 * kDay + 2 * kHour, -0.055, 0.61, "zinc turned dark");
    book.run(carried, design, "22 ohm after mixing", kSpring + 8 * kDay + 3 * kHour,
             {22.0, 30.0, 0.25, 900, 0.004, 9.0, 0.9, 13});

    design.liquid.solutes.front().amount.value = 0.040;
    const Revision third = book.revision("Rain gauge jar 3", second.id, design, kSpring + 12 * kDay);
    const Id thirdBuild = book.build(third, "build 1", kSpring + 12 * kDay);
    book.read(thirdBuild, design, kSpring + 12 * kDay + 2 * kHour, -0.001, 0.98, "clear and still");
    book.run(thirdBuild, design, "22 ohm overnight", kSpring + 12 * kDay + 3 * kHour,
             {22.0, 30.0, 0.25, 900, 0.002, 0.0, 0.0, 14});
    book.event(thirdBuild, kSpring + 12 * kDay + 34 * kHour, "beacon bright all night", false);
}

} // namespace anodex::demo
