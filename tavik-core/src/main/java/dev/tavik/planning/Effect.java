package dev.tavik.planning;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import dev.tavik.result.Figures;
import java.math.BigDecimal;
import java.util.List;

/**
 * What is expected, as the analyst states it.
 *
 * @param measure in which measure
 * @param value the value in it
 */
public record Effect(Measure measure, double value) {
  /** Value of w² below which it is 0 but for rounding. */
  private static final double ROUNDING = 1e-20;

  /** How an effect is stated. */
  public enum Measure {
    /** The rate itself. */
    PROPORTION("expect"),
    /** The rate minus the base rate. */
    DIFFERENCE("difference"),
    /** The rate over the base rate. */
    RATIO("ratio"),
    /** The odds of the rate over those of the base rate. */
    ODDS_RATIO("odds-ratio"),
    /** Cohen's w, of a table. */
    W("w"),
    /** The design alone determines the effect. */
    NONE("none");

    private final String id;

    Measure(String id) {
      this.id = id;
    }

    /**
     * The public name, the same in options, study files and JSON.
     *
     * @return the name
     */
    public String id() {
      return id;
    }
  }

  /**
   * A rate.
   *
   * @param rate the rate expected
   * @return the effect
   */
  public static Effect rate(double rate) {
    return new Effect(Measure.PROPORTION, rate);
  }

  /**
   * The rate of the second of two groups; {@link #rate} under a name that says which group it is
   * of.
   *
   * @param rate the rate expected
   * @return the effect
   */
  public static Effect secondRate(double rate) {
    return rate(rate);
  }

  /**
   * The rate minus the base rate, or the null value.
   *
   * @param difference such as -0.03 for three points lower
   * @return the effect
   */
  public static Effect difference(double difference) {
    return new Effect(Measure.DIFFERENCE, difference);
  }

  /**
   * The rate over the base rate, or the null value.
   *
   * @param ratio such as 0.6 for four tenths lower
   * @return the effect
   */
  public static Effect ratio(double ratio) {
    return new Effect(Measure.RATIO, ratio);
  }

  /**
   * The odds of the rate over those of the base rate, or of the null value.
   *
   * @param ratio the odds ratio
   * @return the effect
   */
  public static Effect oddsRatio(double ratio) {
    return new Effect(Measure.ODDS_RATIO, ratio);
  }

  /**
   * The effect size of a table.
   *
   * @param w Cohen's w
   * @return the effect
   */
  public static Effect cohensW(double w) {
    return new Effect(Measure.W, w);
  }

  /**
   * The effect size of shares against claimed ones, √Σ (p₁ - p₀)²/p₀.
   *
   * @param expected the share expected of each category
   * @param claimed the share claimed of each, above 0
   * @return the effect
   * @throws IllegalArgumentException if there aren't as many, or they are the same
   */
  public static Effect ofShares(List<Double> expected, List<Double> claimed) {
    require(
        expected.size() == claimed.size() && expected.size() >= 2,
        "expected and claimed shares must be as many, two or more, got %d and %d",
        expected.size(),
        claimed.size());
    double square = 0;
    for (int i = 0; i < expected.size(); i++) {
      square += Math.pow(expected.get(i) - claimed.get(i), 2) / claimed.get(i);
    }
    require(square != 0, "the shares expected are those claimed; no number shows that");
    return cohensW(Math.sqrt(square));
  }

  /**
   * The effect size of a table against independence of its rows and columns.
   *
   * @param cells what is expected in each cell, rows of equal length; whatever they add up to
   * @return the effect
   * @throws IllegalArgumentException if the table isn't two by two or larger, a row or a column is
   *     empty, or rows and columns are independent
   */
  public static Effect ofCells(List<List<Double>> cells) {
    int columns = cells.isEmpty() ? 0 : cells.get(0).size();
    require(
        cells.size() >= 2 && columns >= 2 && !cells.stream().anyMatch(row -> row.size() != columns),
        "cells must be rows of two cells or more, equally many in each, such as \"20%% 30%%;"
            + " 35%% 15%%\"");
    double[] ofColumns = new double[columns];
    double[] ofRows = new double[cells.size()];
    double total = 0;
    for (int i = 0; i < cells.size(); i++) {
      for (int j = 0; j < columns; j++) {
        double cell = cells.get(i).get(j);
        ofRows[i] += cell;
        ofColumns[j] += cell;
        total += cell;
      }
    }
    double square = 0;
    for (int i = 0; i < cells.size(); i++) {
      for (int j = 0; j < columns; j++) {
        double expected = ofRows[i] * ofColumns[j] / total;
        require(expected > 0, "cells have a row or a column of nothing but 0");
        double away = cells.get(i).get(j) - expected;
        square += away * away / expected / total;
      }
    }
    require(
        square >= ROUNDING,
        "rows and columns of these cells are independent, so that w is 0; no number shows"
            + " that");
    return cohensW(Math.sqrt(square));
  }

  /**
   * Creates an effect that the design alone determines.
   *
   * @return the effect
   */
  public static Effect none() {
    return new Effect(Measure.NONE, 0);
  }

  /**
   * What is expected where the base rate is this.
   *
   * @param base the base rate, or the null value
   * @return the rate expected; for w the value itself
   * @throws IllegalArgumentException if the rate would not lie strictly between 0 and 1
   */
  public double from(double base) {
    double rate =
        switch (measure) {
          case DIFFERENCE -> sum(base, value);
          case RATIO -> base * value;
          case ODDS_RATIO -> base * value / (1 - base + base * value);
          default -> value;
        };
    if (measure != Measure.W && measure != Measure.NONE && !(rate > 0 && rate < 1)) {
      throw new IllegalArgumentException(
          say(
              "%s %s from a base of %s gives a rate of %s, which doesn't lie between 0 and 1",
              measure.id(),
              Figures.plain(value),
              Figures.exactPercent(base),
              Figures.upTo(rate, 6)));
    }
    return rate;
  }

  /** Returns the number that a design computes with: the rate expected, or Cohen's w. */
  double of(PowerDesign design) {
    boolean table = design instanceof TableDesign;
    require(
        measure == Measure.NONE || table == (measure == Measure.W),
        "an effect of %s must be %s, got %s",
        design.test(),
        table ? "Cohen's w" : "a rate, difference, ratio or odds ratio",
        measure.id());
    return from(design.statedFrom());
  }

  /** Decimals are subtracted as people do: 0.08 - 0.03 is 0.05. */
  private static double sum(double one, double other) {
    return BigDecimal.valueOf(one).add(BigDecimal.valueOf(other)).doubleValue();
  }
}
