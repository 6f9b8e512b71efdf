package dev.tavik.bench;

import dev.tavik.count.SampleDesign;
import dev.tavik.count.SurveyCounts;
import dev.tavik.count.Tally;
import dev.tavik.data.CountRequest;
import dev.tavik.data.Sources;
import dev.tavik.examples.TradePopulation;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.Side;
import dev.tavik.survey.DesignedComparison;
import dev.tavik.survey.DesignedProportion;
import dev.tavik.survey.DesignedSample;
import dev.tavik.survey.SurveyComparisonInterval;
import dev.tavik.survey.SurveyInterval;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Predicate;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;

/**
 * How often intervals catch the truth: samples are drawn from the demo's population, whose rates
 * are known, and read as any file is.
 */
public final class SurveyCoverage {
  private static final double LEVEL = 0.95;
  private static final SampleDesign DESIGN =
      SampleDesign.weighted("weight").strata("region").clusters("dealer");

  /** How often an interval lay below the truth, above it, had no limits, and how wide it was. */
  private static final class Caught {
    private long below;
    private long above;
    private long none;
    private double width;

    void add(Interval interval, double truth) {
      below += interval.upper() < truth ? 1 : 0;
      above += interval.lower() > truth ? 1 : 0;
      width += interval.upper() - interval.lower();
    }
  }

  private final Map<String, Caught> all = new LinkedHashMap<>();
  private final TradePopulation population = TradePopulation.all();

  private SurveyCoverage() {}

  /**
   * Draws samples and prints how often each interval caught the truth.
   *
   * @param arguments how many samples; 2,000 without one
   */
  public static void main(String[] arguments) {
    int samples = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 2_000;
    SurveyCoverage coverage = new SurveyCoverage();
    UniformRandomProvider random = RandomSource.XO_SHI_RO_256_PP.create(20261128L);
    for (int i = 0; i < samples; i++) {
      coverage.sample(random);
    }
    System.out.printf(
        Locale.ROOT,
        "%-44s %8s %8s %8s %8s %8s%n",
        samples + " samples, level 95%",
        "caught",
        "below",
        "above",
        "none",
        "points");
    coverage.all.forEach(
        (name, caught) ->
            System.out.printf(
                Locale.ROOT,
                "%-44s %7.1f%% %7.1f%% %7.1f%% %7.1f%% %8.1f%n",
                name,
                100.0 * (samples - caught.below - caught.above - caught.none) / samples,
                100.0 * caught.below / samples,
                100.0 * caught.above / samples,
                100.0 * caught.none / samples,
                100 * caught.width / (samples - caught.none)));
  }

  private void sample(UniformRandomProvider random) {
    byte[] text = population.sample(random).getBytes(StandardCharsets.UTF_8);
    SurveyCounts counts =
        Sources.open("panel.csv", name -> new ByteArrayInputStream(text))
            .survey(DESIGN, List.of(CountRequest.of("would_reorder", "region")))
            .get(0);
    DesignedSample sample = DesignedSample.of(counts);
    Predicate<List<String>> yes = unit -> unit.get(0).equals("yes");
    rate("all, ", sample.proportion(unit -> true, yes), population.reorders());
    rate(
        "Uplands, ",
        sample.proportion(unit -> unit.get(1).equals("Uplands"), yes),
        population.reorders("Uplands"));
    compare(
        sample.comparison(
            unit -> unit.get(1).equals("Uplands"), unit -> unit.get(1).equals("Moors"), yes),
        population.reorders("Uplands") - population.reorders("Moors"));
  }

  private void rate(String what, DesignedProportion proportion, double truth) {
    for (SurveyInterval method : SurveyInterval.values()) {
      Caught caught = caught(what + method.id());
      try {
        caught.add(method.of(proportion, LEVEL, Side.TWO_SIDED), truth);
      } catch (NotApplicableException e) {
        caught.none++;
      }
    }
    Tally simply = Tally.of(proportion.successes(), proportion.rows());
    caught(what + "as if simple random (wilson)")
        .add(ProportionInterval.WILSON.of(simply, LEVEL), truth);
  }

  private void compare(DesignedComparison compared, double truth) {
    caught("Uplands minus Moors, wald")
        .add(SurveyComparisonInterval.WALD.of(compared, LEVEL, Side.TWO_SIDED), truth);
    caught("Uplands minus Moors, as if simple (newcombe)")
        .add(
            ComparisonInterval.DIFFERENCE_NEWCOMBE.of(
                Tally.of(compared.first().successes(), compared.first().rows()),
                Tally.of(compared.second().successes(), compared.second().rows()),
                LEVEL),
            truth);
  }

  private Caught caught(String name) {
    return all.computeIfAbsent(name, key -> new Caught());
  }
}
