package dev.tavik.study;

import dev.tavik.association.SharesTest;
import dev.tavik.association.TableTest;
import dev.tavik.proportion.LotTest;
import dev.tavik.proportion.PairedTest;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.DeclinedException;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;
import dev.tavik.simulation.Bootstrap;
import dev.tavik.simulation.Draws;
import dev.tavik.simulation.NullWorld;
import dev.tavik.simulation.SimulatedTail;
import dev.tavik.simulation.Simulation;
import dev.tavik.study.SimulatedAnswer.View;
import dev.tavik.study.SimulatedQuestion.NullModel;
import dev.tavik.study.SimulatedQuestion.Stop;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/** Draws the worlds that belong to an answer. */
final class SimulationAnalysis {
  /** An exact test that wasn't asked for may take so many seconds, else it has no formula here. */
  private static final double BRIEFLY = 0.5;

  private final SimulatedQuestion asked;
  private final Answer answer;

  SimulationAnalysis(SimulatedQuestion asked, Answer answer) {
    this.asked = asked;
    this.answer = answer;
  }

  List<View> views() {
    try {
      if (answer instanceof RateAnswer rate) {
        return List.of(view("", rate, 0));
      }
      if (answer instanceof RateByGroupAnswer rates) {
        List<View> views = new ArrayList<>();
        for (RateAnswer group : rates.groups()) {
          views.add(view(group.label(), group, views.size()));
        }
        return views;
      }
      if (answer instanceof CompareAnswer comparison) {
        return List.of(view("", comparison, 0));
      }
      if (answer instanceof CompareGroupsAnswer comparisons) {
        List<View> views = new ArrayList<>();
        for (CompareAnswer pair : comparisons.pairs()) {
          views.add(view(pair.order(), pair, views.size()));
        }
        return views;
      }
      if (answer instanceof PairedAnswer paired) {
        return List.of(view(paired));
      }
      if (answer instanceof SharesAnswer shares) {
        return List.of(view(shares));
      }
      if (answer instanceof CrossAnswer cross) {
        return List.of(view(cross));
      }
    } catch (DeclinedException e) {
      throw new IllegalArgumentException("the simulated view " + e.reason(), e);
    }
    throw new IllegalArgumentException(
        "such a question has no simulated view; leave simulate out, or ask about rates, two groups,"
            + " pairs, shares or one table");
  }

  private Draws draws(int number) {
    return Draws.of(asked.draws().most(), asked.draws().seed() + number);
  }

  private Simulation draw(NullWorld world, double alpha, int number) {
    Draws draws = draws(number);
    return world.simulate(asked.stop() == Stop.WHEN_CLEAR ? draws.untilClearOf(alpha) : draws);
  }

  private static View view(
      String label,
      Simulation simulation,
      List<Interval> bootstrap,
      Method preferred,
      Function<Method, TestResult> test) {
    List<Double> formulas = new ArrayList<>();
    int wanted = 0;
    for (SimulatedTail tail : simulation.tails()) {
      if (tail.method() == preferred) {
        wanted = formulas.size();
      }
      formulas.add(formula(tail.method(), test));
    }
    return new View(label, simulation, formulas, bootstrap, wanted);
  }

  private static double formula(Method method, Function<Method, TestResult> test) {
    try {
      return test.apply(method).log10PValue();
    } catch (DeclinedException e) {
      return Double.NaN;
    }
  }

  private View view(String label, RateAnswer rate, int number) {
    RateSettings settings = rate.settings();
    Long lot = settings.lot();
    NullWorld world =
        lot == null
            ? NullWorld.ofRate(rate.tally(), settings.hypothesis())
            : NullWorld.ofLot(rate.tally(), lot, settings.hypothesis());
    return view(
        label,
        draw(world, settings.alpha(), number),
        lot == null ? Bootstrap.ofRate(rate.tally(), settings.level(), draws(number)) : List.of(),
        rate.preference().test(),
        method -> {
          ProportionTest test = ((ProportionTest) method);
          return lot == null
              ? test.of(rate.tally(), settings.hypothesis())
              : LotTest.inLot(test).of(rate.tally(), lot, settings.hypothesis());
        });
  }

  private View view(String label, CompareAnswer comparison, int number) {
    CompareSettings settings = comparison.settings();
    if (!settings.plain()) {
      throw new IllegalArgumentException(
          "the simulated view is of no difference at all; leave "
              + (settings.show() == Show.DIFFERENCE ? "against" : "show")
              + " out, or simulate");
    }
    var first = comparison.first().tally();
    var second = comparison.second().tally();
    Alternative alternative = settings.hypothesis().alternative();
    NullWorld world =
        asked.nullModel() == NullModel.SHUFFLE
            ? NullWorld.shuffled(first, second, alternative)
            : NullWorld.pooled(first, second, alternative);
    return view(
        label,
        draw(world, settings.alpha(), number),
        Bootstrap.ofComparison(first, second, settings.level(), draws(number)),
        comparison.preference().test(),
        method -> ((TwoProportionTest) method).of(first, second, settings.hypothesis()));
  }

  private View view(PairedAnswer paired) {
    return view(
        "",
        draw(
            NullWorld.signFlips(paired.tally(), paired.settings().alternative()),
            paired.settings().alpha(),
            0),
        List.of(),
        paired.preference().test(),
        method -> ((PairedTest) method).of(paired.tally(), paired.settings().alternative()));
  }

  private View view(SharesAnswer shares) {
    return view(
        "",
        draw(NullWorld.ofShares(shares.counts(), shares.claimed()), shares.settings().alpha(), 0),
        List.of(),
        shares.preference().test(),
        method -> ((SharesTest) method).of(shares.counts(), shares.claimed()));
  }

  private View view(CrossAnswer cross) {
    return view(
        "",
        draw(NullWorld.ofTable(cross.table()), cross.settings().alpha(), 0),
        Bootstrap.ofTable(cross.table(), cross.settings().level(), draws(0)),
        cross.preferred(),
        method ->
            cross.tests().stream()
                .filter(test -> test.method() == method)
                .findFirst()
                .orElseGet(
                    () ->
                        ((TableTest) method)
                            .of(cross.table(), cross.settings().options().budget(BRIEFLY))));
  }
}
