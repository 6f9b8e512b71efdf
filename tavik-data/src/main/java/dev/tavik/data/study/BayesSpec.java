package dev.tavik.data.study;

import dev.tavik.bayes.BetaPrior;
import dev.tavik.result.Proportion;
import dev.tavik.study.BayesSettings;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The words of the Bayesian view of one rate or of two. */
record BayesSpec(QuestionArguments spec) {
  private static final List<String> WORDS = List.of("prior", "region");

  /** The view of one rate; null where no word asks for it. */
  @Nullable BayesSettings ofRate() {
    List<String> ends = spec.list("region");
    return wanted()
        ? new BayesSettings(prior(), ends.isEmpty() ? null : region(ends, this::proportion))
        : null;
  }

  /** The view of two; a single value is a region to both sides of no difference. */
  @Nullable BayesSettings ofComparison() {
    List<String> ends = spec.list("region");
    if (ends.size() == 1) {
      double half = Proportion.parse(spec.name("region"), ends.get(0));
      return new BayesSettings(prior(), new BayesSettings.Region(-half, half));
    }
    return wanted()
        ? new BayesSettings(prior(), ends.isEmpty() ? null : region(ends, this::difference))
        : null;
  }

  private boolean wanted() {
    return spec.flag("bayes") || WORDS.stream().anyMatch(spec::has);
  }

  private BetaPrior prior() {
    return spec.has("prior")
        ? BetaPrior.parse(spec.name("prior"), String.join(",", spec.all("prior")))
        : BetaPrior.UNIFORM;
  }

  /** How an end of a region is read. */
  private interface End {
    double read(String text);
  }

  private BayesSettings.Region region(List<String> ends, End end) {
    spec.check(
        ends.size() == 2,
        "{region} must be two values such as 4%%,6%%, got '%s'",
        String.join(",", ends));
    return new BayesSettings.Region(end.read(ends.get(0)), end.read(ends.get(1)));
  }

  private double proportion(String text) {
    return Proportion.parseEnd(spec.name("region"), text);
  }

  private double difference(String text) {
    return Proportion.parseDifferenceEnd(spec.name("region"), text);
  }
}
