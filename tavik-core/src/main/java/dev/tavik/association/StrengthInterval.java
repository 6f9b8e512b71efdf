package dev.tavik.association;

import dev.tavik.result.Exactness;
import dev.tavik.result.Method;
import dev.tavik.result.MethodInfo;

/** How the intervals of measures of association come about, as results name it. */
public enum StrengthInterval implements Method {
  /** The estimate plus and minus a normal deviate times its standard error. */
  ASYMPTOTIC(
      "asymptotic",
      "the estimate ± z times its standard error by the delta method",
      "Goodman and Kruskal 1963, Journal of the American Statistical Association 58, 310-364"),
  /** The noncentrality parameters under which X² is neither too small nor too large. */
  NONCENTRAL(
      "noncentral",
      "limits of the noncentrality of chi-square, turned into the measure",
      "Smithson 2003, Confidence Intervals, chapter 4"),
  /** The common odds ratio times and by the exponential of its log error. */
  MANTEL_HAENSZEL(
      "mantel-haenszel",
      "normal on the scale of the logarithm, with the variance for few and large strata",
      "Robins, Breslow and Greenland 1986, Biometrics 42, 311-323");

  private final MethodInfo info;

  StrengthInterval(String id, String description, String reference) {
    this.info = MethodInfo.of(id, description, reference, Exactness.APPROXIMATE);
  }

  @Override
  public MethodInfo info() {
    return info;
  }
}
