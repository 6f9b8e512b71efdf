package dev.tavik.study.rate;

import dev.tavik.count.Tally;
import dev.tavik.proportion.CriticalCounts;
import dev.tavik.proportion.FinitePopulationTest;
import dev.tavik.proportion.LotInterval;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;

/** The methods for a rate, whether trials have no end or come from a lot. */
interface RateMethods {
  Tally tally();

  TestResult test(ProportionTest method);

  Interval interval(ProportionInterval method, Side side);

  CriticalCounts criticalCounts(ProportionTest method);

  /** By how much the standard error of the estimate is smaller than for trials without end. */
  double correction();

  static RateMethods of(Tally tally, RateSettings settings) {
    Long lot = settings.lot();
    return lot == null ? new Endless(tally, settings) : new Lot(tally, settings, lot);
  }

  /** Independent trials. */
  record Endless(Tally tally, RateSettings settings) implements RateMethods {
    @Override
    public TestResult test(ProportionTest method) {
      return method.of(tally, settings.hypothesis());
    }

    @Override
    public Interval interval(ProportionInterval method, Side side) {
      return method.of(tally, settings.level(), side);
    }

    @Override
    public CriticalCounts criticalCounts(ProportionTest method) {
      return method.criticalCounts(tally.trials(), settings.hypothesis(), settings.alpha());
    }

    @Override
    public double correction() {
      return 1;
    }
  }

  /** A sample without replacement; each method has its form for a lot. */
  record Lot(Tally tally, RateSettings settings, long lot) implements RateMethods {
    @Override
    public TestResult test(ProportionTest method) {
      return FinitePopulationTest.inLot(method).of(tally, lot, settings.hypothesis());
    }

    @Override
    public Interval interval(ProportionInterval method, Side side) {
      return LotInterval.inLot(method).of(tally, lot, settings.level(), side);
    }

    @Override
    public CriticalCounts criticalCounts(ProportionTest method) {
      return FinitePopulationTest.inLot(method)
          .criticalCounts(tally.trials(), lot, settings.hypothesis(), settings.alpha());
    }

    @Override
    public double correction() {
      return Math.sqrt((double) (lot - tally.trials()) / (lot - 1));
    }
  }
}
