#include "core/liquid/Titration.h"
#include "core/liquid/SolveSolution.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <gtest/gtest.h>
#include <thread>

namespace anodex::liquid {
namespace {

Solution solved(const std::string& liquid) {
    return test::contentsOf(
               R"({"negative":{"material":"zinc","wetted_area_cm2":10},"positive":{"material":"copper","wetted_area_cm2":10},"electrolyte":)" +
               liquid + "}")
        .solutions[0];
}

std::string ready(const std::string& name) {
    return R"({"ready":")" + name + R"(","volume_mL":100})";
}

TEST(Titration, TheLiquidItselfIsItsMiddle) {
    const Solution brine = solved(ready("salt water"));
    const Titration titration(test::catalogue(), brine);
    EXPECT_DOUBLE_EQ(titration.at(0).drive, 0.0);
    EXPECT_DOUBLE_EQ(titration.at(0).solution.pH, brine.pH);
    EXPECT_NEAR(titration.at(8).solution.pH, brine.pH + 8 * Titration::kStep, 1e-9);
}

TEST(Titration, InBrineTheDriveIsThatOfFreeHydroxide) {
    const Titration titration(test::catalogue(), solved(ready("salt water")));
    const Titration::Point& point = titration.at(titration.highest());
    const auto hydroxide = test::catalogue().key.hydroxide;
    EXPECT_NEAR(point.drive,
                test::catalogue().species[hydroxide].diffusivity * point.solution.concentration(hydroxide),
                0.02 * point.drive);
}

TEST(Titration, ABufferCarriesWhatBrineCannot) {
    const Titration brine(test::catalogue(), solved(ready("salt water")));
    const Titration soda(test::catalogue(),
                         solved(R"({"water_mL":100,"solutes":[{"substance":"NaHCO3","mol_per_L":0.5}]})"));
    EXPECT_GT(soda.at(4).drive, 100.0 * brine.at(4).drive);
}

TEST(Titration, IsTheSameInWhateverOrderItIsAsked) {
    for (const auto& entry : test::catalogue().liquids) {
        const Solution liquid = solved(ready(entry.id));
        const Titration up(test::catalogue(), liquid);
        const Titration down(test::catalogue(), liquid);
        for (int step = up.lowest(); step <= up.highest(); ++step) {
            static_cast<void>(up.at(step));
        }
        for (int step = up.highest(); step >= up.lowest(); --step) {
            EXPECT_EQ(down.at(step).drive, up.at(step).drive) << entry.id << ' ' << step;
            EXPECT_EQ(down.at(step).solution.lnActivity, up.at(step).solution.lnActivity) << entry.id;
        }
    }
}

TEST(Titration, AnswersTwoThreadsAsItAnswersOne) {
    for (const char* name : {"seawater", "vinegar", "lemon juice", "bleach"}) {
        const Solution liquid = solved(ready(name));
        const Titration alone(test::catalogue(), liquid);
        const Titration together(test::catalogue(), liquid);
        {
            const std::jthread up([&together] {
                for (int step = together.lowest(); step <= together.highest(); ++step) {
                    static_cast<void>(together.at(step));
                }
            });
            for (int step = together.highest(); step >= together.lowest(); --step) {
                static_cast<void>(together.at(step));
            }
        }
        for (int step = alone.lowest(); step <= alone.highest(); ++step) {
            EXPECT_EQ(together.at(step).drive, alone.at(step).drive) << name << ' ' << step;
        }
    }
}

TEST(Titration, TheSolverThatPouredGoesOnAsAnyOther) {
    auto solver = std::make_unique<LiquidSolver>(test::catalogue());
    const Solution liquid = solver->pour(solved(ready("seawater")).mixture);
    const Titration going(test::catalogue(), std::move(solver));
    const Titration fresh(test::catalogue(), liquid);
    for (int step = fresh.lowest(); step <= fresh.highest(); ++step) {
        EXPECT_EQ(going.at(step).drive, fresh.at(step).drive) << step;
    }
}

TEST(Titration, OfEveryReadyLiquidTheDriveRisesWithAlkali) {
    for (const auto& entry : test::catalogue().liquids) {
        const Titration titration(test::catalogue(), solved(ready(entry.id)));
        double last = -1e300;
        for (int step = titration.lowest(); step <= titration.highest(); ++step) {
            const double drive = titration.at(step).drive;
            EXPECT_TRUE(std::isfinite(drive)) << entry.id << step;
            EXPECT_GE(drive, last - 1e-15) << entry.id << ' ' << step;
            last = drive;
        }
    }
}

} // namespace
} // namespace anodex::liquid
