package dev.tavik.simulation;

import dev.tavik.result.Exactness;
import dev.tavik.result.Method;
import dev.tavik.result.MethodInfo;

/** The intervals that {@link Bootstrap} takes from its resamples. */
public enum BootstrapInterval implements Method {
  /** Plain percentiles. */
  PERCENTILE(
      "bootstrap-percentile",
      "percentiles of the resampled estimates",
      "Efron 1979, Annals of Statistics 7, 1-26"),
  /** Percentiles corrected for bias and acceleration. */
  CORRECTED(
      "bootstrap-bca",
      "percentiles, moved for bias and acceleration",
      "Efron 1987, Journal of the American Statistical Association 82, 171-185");

  private final MethodInfo info;

  BootstrapInterval(String id, String description, String reference) {
    this.info = MethodInfo.of(id, description, reference, Exactness.APPROXIMATE);
  }

  @Override
  public MethodInfo info() {
    return info;
  }
}
