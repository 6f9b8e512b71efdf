package dev.tavik.cli;

import java.nio.file.Path;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Option;

/** Options of the Bayesian view. Their values are read as words of a spec. */
final class BayesOptions {
  @Option(
      names = "--bayes",
      description =
          "Show the Bayesian view beside: Bayes factor, posterior, credible intervals, other priors.")
  boolean bayes;

  @Option(
      names = "--prior",
      paramLabel = "A,B",
      description = "The parameters of the beta prior, implies --bayes; 1,1 unless given.")
  @Nullable String prior;

  @Option(
      names = "--region",
      paramLabel = "LOW,HIGH",
      description =
          "The rates that are as good as the null value, such as 4%%,6%%; implies --bayes.")
  @Nullable String region;

  @Option(
      names = "--bayes-chart",
      paramLabel = "FILE",
      description =
          "Draw prior and posterior with their heights at the null value into a .png or .svg file.")
  @Nullable Path chart;
}
