package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Proportion;
import dev.tavik.result.TestResult;

/**
 * The tests of one proportion against a null value.
 *
 * <p>The null value is read as the decimal that was written: 0.05 is 1/20. Statistics are right to
 * 10⁻¹² relative, p-values to 10⁻¹⁰, for up to 10⁹ trials and at any distance; below 10⁻³⁰⁰ read
 * {@link TestResult#log10PValue}.
 */
public enum ProportionTest {
  /**
   * z = (x - np₀) / √(np₀(1 - p₀)), referred to the normal distribution: the standard error is that
   * of the null value. A normal approximation, good where the null expects ten successes and ten
   * failures or more.
   */
  SCORE(
      "score",
      "z test with the null's standard error",
      "Wilson 1927, Journal of the American Statistical Association 22, 209-212",
      ScoreTest::of),
  /**
   * The binomial test. Its p-value sums the probabilities, under the null, of all outcomes in the
   * direction of the alternative; two-sided, of all outcomes no more probable than the observed
   * one, with a relative tolerance of 10⁻⁷ on ties. It never rejects more often than it should, and
   * usually less often.
   */
  EXACT(
      "exact",
      "binomial test",
      "Sterne 1954, Biometrika 41, 275-278 (two-sided ordering by probability)",
      BinomialTest::of);

  private final String id;
  private final String description;
  private final String reference;
  private final Algorithm algorithm;

  ProportionTest(String id, String description, String reference, Algorithm algorithm) {
    this.id = id;
    this.description = description;
    this.reference = reference;
    this.algorithm = algorithm;
  }

  /** How a test is carried out once its arguments are known to be good. */
  @FunctionalInterface
  interface Algorithm {
    TestResult test(String method, Tally tally, Hypothesis hypothesis);
  }

  /**
   * Tests a proportion.
   *
   * @param tally the successes and trials
   * @param hypothesis the null value, strictly between 0 and 1, and the direction
   * @return the result
   * @throws IllegalArgumentException if not 0 &lt; against &lt; 1
   */
  public TestResult of(Tally tally, Hypothesis hypothesis) {
    Proportion.require("against", hypothesis.against());
    return algorithm.test(id, tally, hypothesis);
  }

  /**
   * The public id.
   *
   * @return such as {@code score}
   */
  public String id() {
    return id;
  }

  /**
   * What the test is, in a few words.
   *
   * @return the description
   */
  public String description() {
    return description;
  }

  /**
   * Where the test was published.
   *
   * @return author, year, journal, volume, pages
   */
  public String reference() {
    return reference;
  }
}
