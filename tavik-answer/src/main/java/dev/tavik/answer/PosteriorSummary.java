package dev.tavik.answer;

import dev.tavik.bayes.Credible;
import dev.tavik.result.Estimand;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What to believe of a quantity after the data.
 *
 * @param quantity the quantity
 * @param label of what, where there are several
 * @param mean its mean; infinite or NaN where it has none
 * @param median its median
 * @param credible its intervals, that with equal tails first
 */
public record PosteriorSummary(
    Estimand quantity, String label, double mean, double median, List<Credible> credible) {
  /** Keeps the intervals. */
  public PosteriorSummary {
    credible = List.copyOf(credible);
  }

  /**
   * Returns what machines see of it.
   *
   * @param truncated whether only the values of the alternative count; null where it has no say
   * @param mode the mode, NaN where there is none; null where it has no say
   */
  Value.Fields figures(@Nullable Boolean truncated, @Nullable Double mode) {
    Value.Fields fields = Value.fields().with("quantity", quantity.id());
    if (!label.isEmpty()) {
      fields.with("label", label);
    }
    if (truncated != null) {
      fields.with("truncated", truncated);
    }
    fields.with("mean", mean).with("median", median);
    if (mode != null) {
      fields.with("mode", mode);
    }
    return fields.with(
        "credible",
        Value.list(
            credible,
            each ->
                Value.fields()
                    .with("kind", each.kind().id())
                    .with("level", each.level())
                    .with("lower", each.lower())
                    .with("upper", each.upper())));
  }
}
