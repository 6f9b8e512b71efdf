package dev.tavik.bayes;

import static dev.tavik.result.Figures.require;

import dev.tavik.count.Tally;
import dev.tavik.result.Figures;
import dev.tavik.result.Numbers;

/**
 * What is believed of a proportion before the data: a beta distribution, as if a - 1 successes and
 * b - 1 failures had been seen on top of knowing nothing.
 *
 * @param a the first parameter, above 0
 * @param b the second parameter, above 0
 */
public record BetaPrior(double a, double b) {
  /** Beta(1, 1): all proportions alike. */
  public static final BetaPrior UNIFORM = new BetaPrior(1, 1);

  /**
   * Beta(½, ½), the same on every scale of the rate (Jeffreys 1946, Proceedings of the Royal
   * Society A 186, 453-461).
   */
  public static final BetaPrior JEFFREYS = new BetaPrior(0.5, 0.5);

  /** The largest parameter accepted. */
  public static final double MOST_PARAMETER = 1e9;

  /** The smallest parameter accepted. */
  public static final double LEAST_PARAMETER = 1e-6;

  /**
   * Checks the parameters.
   *
   * @throws IllegalArgumentException if one is not between 10⁻⁶ and 10⁹: beyond, a prior is all but
   *     improper or all but a single value, and a Bayes factor says nothing of the data
   */
  public BetaPrior {
    requireParameter(a);
    requireParameter(b);
  }

  private static void requireParameter(double parameter) {
    require(
        parameter >= LEAST_PARAMETER && parameter <= MOST_PARAMETER,
        "prior must have parameters from 0.000001 to 1e9, such as 1,1, got %s; beyond, a"
            + " Bayes factor says more of the prior than of the data",
        parameter);
  }

  /**
   * Reads a prior.
   *
   * @param name what to call it in an error
   * @param text two numbers, as {@link Numbers#positive} reads them, with a comma between
   * @return the prior
   * @throws IllegalArgumentException if these aren't two numbers in their range
   */
  public static BetaPrior parse(String name, String text) {
    String[] parts = text.split(",", -1);
    String accepted = "two numbers above 0 such as 1,1, 0.5,0.5 or 1/3,1/3";
    require(parts.length == 2, "%s must be %s, got '%s'", name, accepted, text);
    return new BetaPrior(
        Numbers.positive(name, accepted, parts[0]), Numbers.positive(name, accepted, parts[1]));
  }

  /**
   * What is believed after the data.
   *
   * @param tally the data
   * @return Beta(a + successes, b + failures)
   */
  public BetaPosterior posterior(Tally tally) {
    return BetaPosterior.of(a + tally.successes(), b + tally.failures());
  }

  @Override
  public String toString() {
    return "Beta(" + Figures.plain(a) + ", " + Figures.plain(b) + ")";
  }
}
