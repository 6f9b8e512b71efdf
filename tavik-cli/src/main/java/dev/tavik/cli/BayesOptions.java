package dev.tavik.cli;

import dev.tavik.report.PosteriorPicture;
import dev.tavik.report.SensitivityPicture;
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
          "What is as good as the null: rates such as 4%%,6%%, of a comparison differences such as"
              + " -2%%,2%% or 2%%; implies --bayes.")
  @Nullable String region;

  @Option(
      names = "--bayes-chart",
      paramLabel = "FILE",
      description =
          "Draw what to believe, of a rate before and after the data, of two rates of their"
              + " difference, into a .png or .svg file.")
  @Nullable Path chart;

  @Option(
      names = "--sensitivity-chart",
      paramLabel = "FILE",
      description =
          "Draw the Bayes factor over priors from wide to strong into a .png or .svg file.")
  @Nullable Path sensitivity;

  /** The pictures asked for. */
  void draw(PictureOptions pictures) {
    pictures.also("--bayes-chart", chart, PosteriorPicture::of);
    pictures.also("--sensitivity-chart", sensitivity, SensitivityPicture::of);
  }
}
