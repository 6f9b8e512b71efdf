package dev.tavik.bayes;

import static dev.tavik.result.Figures.require;

import dev.tavik.count.CategoryCounts;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Figures;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.MathContext;
import java.util.Collections;
import java.util.List;
import java.util.stream.Collectors;

/**
 * What is believed of several shares before the data: a Dirichlet distribution, one parameter a
 * category; with two categories a {@link BetaPrior}.
 *
 * @param parameters one a category, each from 10⁻⁶ to 10⁹
 */
public record DirichletPrior(List<Double> parameters) {
  /**
   * Checks the parameters.
   *
   * @throws IllegalArgumentException if there are fewer than two, or one is out of its range
   */
  public DirichletPrior {
    parameters = List.copyOf(parameters);
    require(
        parameters.size() >= 2,
        "a prior of shares needs two parameters or more, got %s",
        parameters.size());
    parameters.forEach(each -> new BetaPrior(each, each));
  }

  /**
   * All shares alike.
   *
   * @param categories how many there are, at least two
   * @return all parameters 1
   */
  public static DirichletPrior uniform(int categories) {
    return new DirichletPrior(Collections.nCopies(categories, 1.0));
  }

  /**
   * The natural logarithm of the Bayes factor, any shares over claimed ones: category by category
   * that of a rate among those that are left, which keeps its digits at any number of units.
   *
   * @param counts the data
   * @param claimed whole numbers in the ratio of the claimed shares, each above 0
   * @return ln BF, to 10⁻¹¹ relatively or 10⁻¹² absolutely
   * @throws IllegalArgumentException if there aren't as many counts, claims and parameters
   */
  public double logBayesFactor(CategoryCounts counts, List<BigInteger> claimed) {
    int size = parameters.size();
    require(
        counts.size() == size && claimed.size() == size,
        "a prior of %d parameters needs as many counts and claimed shares, got %d and %d",
        size,
        counts.size(),
        claimed.size());
    double log = 0;
    BigInteger later = claimed.get(size - 1);
    double laterParameters = parameters.get(size - 1);
    long laterCounts = counts.counts().get(size - 1);
    for (int j = size - 2; j >= 0; j--) {
      BigInteger from = later.add(claimed.get(j));
      DecimalFraction share =
          new DecimalFraction(quotient(claimed.get(j), from), 0, quotient(later, from));
      log +=
          RateBayesFactor.log(
              counts.counts().get(j), laterCounts, parameters.get(j), laterParameters, share);
      later = from;
      laterParameters += parameters.get(j);
      laterCounts += counts.counts().get(j);
    }
    return log;
  }

  private static double quotient(BigInteger part, BigInteger whole) {
    return new BigDecimal(part).divide(new BigDecimal(whole), MathContext.DECIMAL64).doubleValue();
  }

  /**
   * What is believed of one share after the data.
   *
   * @param counts the data, as many as parameters
   * @param category the position of the share, from 0
   * @return its beta distribution
   */
  public BetaPosterior posterior(CategoryCounts counts, int category) {
    double all = parameters.stream().mapToDouble(Double::doubleValue).sum();
    double own = parameters.get(category) + counts.counts().get(category);
    return BetaPosterior.of(own, all + counts.total() - own);
  }

  @Override
  public String toString() {
    return parameters.stream()
        .map(Figures::plain)
        .collect(Collectors.joining(", ", "Dirichlet(", ")"));
  }
}
