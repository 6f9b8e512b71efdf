package dev.tavik.simulation;

import static dev.tavik.result.Figures.say;

import dev.tavik.association.Shares;
import dev.tavik.association.SharesTest;
import dev.tavik.association.TableTest;
import dev.tavik.count.CategoryCounts;
import dev.tavik.count.CrossTable;
import dev.tavik.count.PairedTally;
import dev.tavik.count.Tally;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.CountDistribution;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.Hypergeometric;
import dev.tavik.numeric.Normal;
import dev.tavik.proportion.PairedTest;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.simulation.Simulation.Histogram;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.LongPredicate;
import java.util.function.LongToDoubleFunction;

/** A world in which the null of a question is true, ready to be drawn. */
public final class NullWorld {
  /** Relative difference below which values that are equal on paper count as tied. */
  private static final double TIE = 1e-7;

  private static final double CLOSE = 1e-9;
  private static final List<TableTest> OF_TABLES =
      List.of(TableTest.PEARSON, TableTest.LIKELIHOOD_RATIO, TableTest.FISHER);
  private static final List<String> RULES_OF_TABLES =
      List.of("X2 as large, or larger", "G2 as large, or larger", "a table as improbable");

  private final String drawn;
  private final World world;
  private final List<? extends Method> methods;
  private final List<String> rules;
  private final Function<Counts, Histogram> histogram;

  private NullWorld(
      String drawn,
      World world,
      List<? extends Method> methods,
      List<String> rules,
      Function<Counts, Histogram> histogram) {
    this.drawn = drawn;
    this.world = world;
    this.methods = methods;
    this.rules = rules;
    this.histogram = histogram;
  }

  /**
   * Samples of a rate that is the null value.
   *
   * @param tally the data
   * @param hypothesis the null value and the alternative
   * @return the world
   * @throws NotApplicableException for more than about 10⁹ trials
   */
  public static NullWorld ofRate(Tally tally, Hypothesis hypothesis) {
    DecimalFraction against = DecimalFraction.of(hypothesis.against());
    return ofCount(
        say(
            "samples of %s with a rate of %s",
            Figures.count(tally.trials()), Figures.exactPercent(hypothesis.against())),
        "successes",
        new Binomial(tally.trials(), against),
        tally.successes(),
        tally.trials() * against.value(),
        Math.sqrt(tally.trials() * against.value() * against.complement()),
        hypothesis.alternative(),
        List.of(ProportionTest.SCORE, ProportionTest.EXACT));
  }

  /**
   * Samples from a lot with the null value's number of successes.
   *
   * @param tally the data
   * @param lot how many units the lot has
   * @param hypothesis the null value and the alternative
   * @return the world
   */
  public static NullWorld ofLot(Tally tally, long lot, Hypothesis hypothesis) {
    long marked = Math.round(lot * hypothesis.against());
    return ofCount(
        say(
            "samples of %s from a lot of %s, %s of them successes",
            Figures.count(tally.trials()), Figures.count(lot), Figures.count(marked)),
        "successes",
        new Hypergeometric(lot, marked, tally.trials()),
        tally.successes(),
        (double) marked * tally.trials() / lot,
        deviation(lot, marked, tally.trials()),
        hypothesis.alternative(),
        List.of(ProportionTest.SCORE, ProportionTest.EXACT));
  }

  /**
   * Shuffles the outcomes of two groups, with both margins of the table fixed.
   *
   * @param first the first group
   * @param second the second group
   * @param alternative the direction
   * @return the world
   * @throws NotApplicableException for very many trials
   */
  public static NullWorld shuffled(Tally first, Tally second, Alternative alternative) {
    long all = first.trials() + second.trials();
    long successes = first.successes() + second.successes();
    return ofCount(
        say(
            "shuffles of %s successes among %s trials, %s of them the first group's",
            Figures.count(successes), Figures.count(all), Figures.count(first.trials())),
        "successes of the first group",
        new Hypergeometric(all, successes, first.trials()),
        first.successes(),
        (double) successes * first.trials() / all,
        deviation(all, successes, first.trials()),
        alternative,
        List.of(TwoProportionTest.Z_POOLED, TwoProportionTest.FISHER));
  }

  /**
   * Draws two groups with the pooled rate; only the numbers of trials are fixed.
   *
   * @param first the first group
   * @param second the second group
   * @param alternative the direction
   * @return the world
   * @throws NotApplicableException for very many trials, or where every trial was a success or none
   */
  public static NullWorld pooled(Tally first, Tally second, Alternative alternative) {
    double all = (double) first.trials() + second.trials();
    double successes = (double) first.successes() + second.successes();
    if (successes == 0 || successes == all) {
      throw new NotApplicableException(NotApplicableReason.SAME_DRAWS);
    }
    DecimalFraction rate = new DecimalFraction(successes / all, 0, (all - successes) / all);
    PooledWorld world = new PooledWorld(first, second, rate, alternative);
    double observed = world.observed();
    return new NullWorld(
        say(
            "pairs of samples of %s and %s with the pooled rate of %s",
            Figures.count(first.trials()),
            Figures.count(second.trials()),
            Figures.finePercent(rate.value())),
        world,
        List.of(TwoProportionTest.Z_POOLED),
        List.of(
            switch (alternative) {
              case LESS -> "z as low, or lower";
              case GREATER -> "z as high, or higher";
              case TWO_SIDED -> "z as large, either way";
            }),
        counts ->
            world
                .bins()
                .histogram(
                    counts,
                    "z",
                    0,
                    1,
                    observed,
                    Cuts.lower(observed, 0, alternative),
                    Cuts.upper(observed, 0, alternative)));
  }

  /**
   * Pairs that were judged differently, each turned round by the toss of a coin.
   *
   * @param pairs the data
   * @param alternative the direction
   * @return the world
   * @throws NotApplicableException if no pair was judged differently
   */
  public static NullWorld signFlips(PairedTally pairs, Alternative alternative) {
    long different = pairs.firstOnly() + pairs.secondOnly();
    if (different == 0) {
      throw new NotApplicableException(NotApplicableReason.NO_DISCORDANT_PAIR);
    }
    return ofCount(
        say(
            "worlds in which a coin turns round each of %s pairs that were judged differently",
            Figures.count(different)),
        "pairs with success in the first only",
        new Binomial(different, DecimalFraction.of(0.5)),
        pairs.firstOnly(),
        different / 2.0,
        Math.sqrt((double) different) / 2,
        alternative,
        List.of(PairedTest.MCNEMAR, PairedTest.MCNEMAR_EXACT));
  }

  private static NullWorld ofCount(
      String drawn,
      String measure,
      CountDistribution counts,
      long observed,
      double expected,
      double deviation,
      Alternative alternative,
      List<? extends Method> methods) {
    double low = Cuts.lower((double) observed, expected, alternative);
    double high = Cuts.upper((double) observed, expected, alternative);
    double slack = CLOSE * Math.max(1, expected);
    double mass = counts.logMass(observed) + TIE;
    boolean twoSided = alternative == Alternative.TWO_SIDED;
    LongPredicate below = x -> x <= low + slack;
    LongPredicate above = x -> x >= high - slack;
    LongPredicate rare = x -> counts.logMass(x) <= mass;
    AliasCounts alias = new AliasCounts(counts);
    String one =
        switch (alternative) {
          case LESS -> Figures.count(observed) + " or fewer";
          case GREATER -> Figures.count(observed) + " or more";
          case TWO_SIDED ->
              say(
                  "as far from the expected %s as %s, either way",
                  Figures.significant(expected, 4), Figures.count(observed));
        };
    return new NullWorld(
        drawn,
        new CountWorld(
            alias,
            new LongPredicate[] {below, twoSided ? x -> x <= expected && rare.test(x) : below},
            new LongPredicate[] {above, twoSided ? rare : above}),
        methods,
        List.of(one, twoSided ? "as improbable as " + Figures.count(observed) : one),
        drawnCounts ->
            histogram(drawnCounts, alias, measure, expected, deviation, observed, low, high));
  }

  /** The counts that occurred and the observed one; if there are many, they are grouped. */
  private static Histogram histogram(
      Counts drawn,
      AliasCounts alias,
      String measure,
      double expected,
      double deviation,
      long observed,
      double low,
      double high) {
    int first = 0;
    int last = drawn.bins.length - 1;
    while (first < last && drawn.bins[first] == 0) {
      first++;
    }
    while (last > first && drawn.bins[last] == 0) {
      last--;
    }
    long from = Math.min(observed, alias.count(first));
    long to = Math.max(observed, alias.count(last));
    long width = Math.max(1, (to - from) / 200);
    long[] bins = new long[(int) ((to - from) / width) + 1];
    for (int i = first; i <= last; i++) {
      bins[(int) ((alias.count(i) - from) / width)] += drawn.bins[i];
    }
    return new Bins(from + (width - 1) / 2.0, width, bins.length)
        .histogram(
            bins,
            measure,
            edge -> deviation == 0 ? 0 : Math.exp(Normal.logUpper((edge - expected) / deviation)),
            (double) observed,
            low,
            high);
  }

  /** Of a hypergeometric count. */
  private static double deviation(long all, long marked, long drawn) {
    double share = (double) marked / all;
    double rest = (double) (all - marked) / all;
    return Math.sqrt(drawn * share * rest * ((double) (all - drawn) / Math.max(1, all - 1)));
  }

  /**
   * Samples with the claimed shares.
   *
   * @param counts the data
   * @param claimed the claimed shares
   * @return the world
   */
  public static NullWorld ofShares(CategoryCounts counts, Shares claimed) {
    MultinomialWorld world = new MultinomialWorld(counts, claimed);
    return new NullWorld(
        say("samples of %s with the claimed shares", Figures.count(counts.total())),
        world,
        List.of(SharesTest.PEARSON, SharesTest.LIKELIHOOD_RATIO),
        List.of("X2 as large, or larger", "G2 as large, or larger"),
        drawn -> world.bins().histogram(drawn, "X2", counts.size() - 1.0, world.observed()));
  }

  /**
   * Tables with the margins of the data.
   *
   * @param table the data
   * @return the world
   * @throws NotApplicableException for more than ten million units
   */
  public static NullWorld ofTable(CrossTable table) {
    if (table.twoByTwo()) {
      return ofFourCells(table);
    }
    TableWorld world = new TableWorld(table);
    return new NullWorld(
        tablesOf(table),
        world,
        OF_TABLES,
        RULES_OF_TABLES,
        drawn ->
            world
                .bins()
                .histogram(
                    drawn,
                    "X2",
                    (table.rows().size() - 1.0) * (table.columns().size() - 1.0),
                    world.observed()));
  }

  /** One free cell determines the table. */
  private static NullWorld ofFourCells(CrossTable table) {
    long all = table.total();
    long row = table.rowTotal(0);
    long column = table.columnTotal(0);
    long observed = table.count(0, 0);
    Hypergeometric cells = new Hypergeometric(all, column, row);
    double expected = (double) row * column / all;
    double low = Cuts.lower((double) observed, expected, Alternative.TWO_SIDED);
    double high = Cuts.upper((double) observed, expected, Alternative.TWO_SIDED);
    double slack = CLOSE * Math.max(1, expected);
    double mass = cells.logMass(observed) + TIE;
    LongToDoubleFunction information =
        x ->
            timesLog(x)
                + timesLog(row - x)
                + timesLog(column - x)
                + timesLog(all - row - column + x);
    double least = information.applyAsDouble(observed);
    double informed = least - TIE * Math.max(1, Math.abs(least)) * CLOSE;
    AliasCounts alias = new AliasCounts(cells);
    LongPredicate below = x -> x <= expected;
    return new NullWorld(
        tablesOf(table),
        new CountWorld(
            alias,
            new LongPredicate[] {
              x -> x <= low + slack,
              x -> below.test(x) && information.applyAsDouble(x) >= informed,
              x -> below.test(x) && cells.logMass(x) <= mass
            },
            new LongPredicate[] {
              x -> x >= high - slack,
              x -> information.applyAsDouble(x) >= informed,
              x -> cells.logMass(x) <= mass
            }),
        OF_TABLES,
        RULES_OF_TABLES,
        drawn ->
            histogram(
                drawn,
                alias,
                "count of the first cell",
                expected,
                deviation(all, column, row),
                observed,
                low,
                high));
  }

  private static double timesLog(long count) {
    return count == 0 ? 0 : count * Math.log((double) count);
  }

  private static String tablesOf(CrossTable table) {
    return say(
        "tables of %s units with the same row and column totals", Figures.count(table.total()));
  }

  /**
   * Draws it.
   *
   * @param settings how often, from which seed
   * @return what came of it
   */
  public Simulation simulate(Draws settings) {
    Engine engine = new Engine(world, settings);
    Counts counts = engine.run();
    List<SimulatedTail> tails = new ArrayList<>();
    for (int i = 0; i < methods.size(); i++) {
      tails.add(
          SimulatedTail.of(
              methods.get(i), rules.get(i), counts.lower[i], counts.upper[i], counts.draws));
    }
    return new Simulation(
        drawn,
        counts.draws,
        settings.most(),
        settings.seed(),
        engine.clear(),
        tails,
        histogram.apply(counts));
  }
}
