package dev.tavik.study.parts;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Block;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Finding;
import dev.tavik.answer.NextQuestion;
import dev.tavik.answer.NotApplicable;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Value;
import dev.tavik.count.SampleDesign;
import dev.tavik.count.SurveyCounts;
import dev.tavik.count.SurveyCounts.Stratum;
import dev.tavik.count.SurveyCounts.Weights;
import dev.tavik.count.Tally;
import dev.tavik.phrase.DesignAssumptions;
import dev.tavik.phrase.DesignCautions;
import dev.tavik.planning.Sampling;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.Side;
import dev.tavik.study.Provenance;
import dev.tavik.survey.DesignedProportion;
import dev.tavik.survey.DesignedSample;
import dev.tavik.survey.SurveyInterval;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * Findings about the design of a sample, for every kind of question.
 *
 * @param sample the sample
 */
public record DesignFindings(DesignedSample sample) {
  /** Degrees of freedom below which t is far from normal and variances are imprecise. */
  private static final double ENOUGH_DF = 12;

  private static final long ENOUGH_CLUSTERS = 10;

  /** Largest weight in units of the mean beyond which weights count as extreme. */
  private static final double EXTREME = 10;

  private static final double EXTREME_SHARE = 0.1;

  private static final int MANY_ROWS = 50;

  /** The default level of a plan. */
  private static final double USUAL_LEVEL = 0.95;

  /** A group and its estimated proportion. */
  public record Group(String name, DesignedProportion proportion) {
    /** The rows as if they were a simple random sample. */
    public Tally unweighted() {
      return Tally.of(proportion.successes(), proportion.rows());
    }

    /** The estimate, with its standard error. */
    public Estimate estimate() {
      return new Estimate(
          Estimand.PROPORTION, name, proportion.value(), proportion.standardError());
    }
  }

  private SurveyCounts counts() {
    return sample.counts();
  }

  private SampleDesign design() {
    return counts().design();
  }

  private String degrees() {
    double df = sample.df();
    return df == Math.rint(df) ? Figures.count((long) df) : Figures.upTo(df, 4);
  }

  /** What the sample is made of, in words. */
  public String inWords() {
    SampleDesign design = design();
    long rows = counts().units().total();
    String weighted =
        design.weight() == null ? "all weighing the same" : "weighted by " + design.weight();
    String df = degrees() + (sample.df() == 1 ? " degree" : " degrees") + " of freedom" + partly();
    if (design.replication() != null) {
      return say(
          "%s, %s, with %s %s replicate weights (%s)",
          Figures.counted(rows, "row", "rows"),
          weighted,
          Figures.count(sample.clusters()),
          design.replication().kind().id(),
          df);
    }
    String clusters =
        sample.rowByRow()
            ? ", drawn one by one"
            : say(
                ", in %s (%s)",
                Figures.counted(sample.clusters(), "cluster", "clusters"),
                design.clusters().get(0));
    String strata =
        design.strata() == null
            ? ""
            : say(
                "%s %s (%s)",
                sample.rowByRow() ? " in" : " of",
                Figures.counted(counts().strata().size(), "stratum", "strata"),
                design.strata());
    return say(
        "%s, %s%s%s%s: %s",
        Figures.counted(rows, "row", "rows"), weighted, clusters, strata, drawnFrom(), df);
  }

  /** Added if some strata have no such rows. */
  private String partly() {
    return sample.replicated() || sample.df() == sample.clusters() - counts().strata().size()
        ? ""
        : ", of the strata that have such rows";
  }

  private String drawnFrom() {
    return counts().strata().stream().anyMatch(each -> Double.isFinite(each.population()))
        ? ", of a finite population"
        : "";
  }

  /** The sentence for readers. */
  public Finding sentence() {
    return Finding.sentence("By the design: " + inWords() + ".");
  }

  /** The figures for programs. */
  public Finding fact() {
    SampleDesign design = design();
    Weights weights = counts().weights();
    return Finding.fact(
        "design",
        Value.fields()
            .with("weight", design.weight())
            .with("strata", design.strata())
            .with("clusters", Value.words(design.clusters()))
            .with("population", design.population())
            .with(
                "replicates",
                design.replication() == null
                    ? Value.none()
                    : Value.fields()
                        .with("method", design.replication().kind().id())
                        .with("count", sample.clusters()))
            .with("rows", counts().units().total())
            .with("clusterCount", sample.clusters())
            .with("strataCount", counts().strata().size())
            .with("df", sample.df())
            .with("sumOfWeights", Figures.rounded(weights.sum()))
            .with("leastWeight", weights.least())
            .with("greatestWeight", weights.greatest())
            .with("shareOfLargest", Figures.rounded(shareOfLargest()))
            .with("zeroWeights", weights.zero())
            .with("missingWeights", weights.missing()));
  }

  private double shareOfLargest() {
    Weights weights = counts().weights();
    return weights.greatest() / weights.sum();
  }

  /** The assumptions about clusters, strata and weights. */
  public List<Condition> conditions() {
    List<Condition> conditions = new ArrayList<>();
    conditions.add(DesignAssumptions.degrees(degrees(), what(), sample.df() >= ENOUGH_DF));
    if (!sample.replicated() && design().strata() != null) {
      Stratum least =
          counts().strata().stream().min(Comparator.comparingLong(Stratum::clusters)).orElseThrow();
      conditions.add(
          DesignAssumptions.smallestStratum(
              least.name(), clusters(least.clusters()), least.clusters() >= 2));
    }
    if (design().weight() != null) {
      conditions.add(weights());
    }
    conditions.add(DesignAssumptions.designAsTold());
    return conditions;
  }

  /** How many of the rows are successes, in words beside a weighted rate. */
  public String rows(DesignedProportion proportion) {
    return say(
        "%s%s of %s",
        design().weight() == null ? "" : "weighted; ",
        Figures.count(proportion.successes()),
        Figures.counted(proportion.rows(), "row", "rows"));
  }

  /** A table of groups and what is estimated of each. */
  public static Sheet groups(List<Group> groups) {
    Sheet sheet =
        Sheet.read(
            "Estimated: standard error in points, design effect; simply counted beside",
            Column.words(),
            Column.numbers("proportion"),
            Column.numbers("error"),
            Column.numbers("effect"),
            Column.counts("successes"),
            Column.counts("of"),
            Column.numbers("simply"));
    for (Group group : groups) {
      DesignedProportion proportion = group.proportion();
      sheet.row(
          group.name(),
          Value.Share.FINE.of(proportion.value()),
          Value.points(proportion.standardError()),
          effect(proportion),
          new Value.Count(proportion.successes()),
          new Value.Count(proportion.rows()),
          Value.Share.FINE.of(group.unweighted().proportion()));
    }
    return sheet;
  }

  /** The design effect in a table. */
  public static Value effect(DesignedProportion proportion) {
    return proportion.allOrNone()
        ? Value.none("none")
        : Value.significant(proportion.designEffect(), 3);
  }

  /**
   * A two-sided interval; where its method has no limits, Korn and Graubard's stand in their place.
   *
   * @param declined takes the reason
   */
  public static Interval limits(
      SurveyInterval method,
      DesignedProportion proportion,
      double level,
      Consumer<NotApplicable> declined) {
    try {
      return method.of(proportion, level, Side.TWO_SIDED);
    } catch (NotApplicableException | ArithmeticException e) {
      declined.accept(Refusals.of(method, e));
      return SurveyInterval.KORN_GRAUBARD.of(proportion, level, Side.TWO_SIDED);
    }
  }

  private String what() {
    if (sample.replicated()) {
      return Figures.counted(sample.clusters(), "replicate", "replicates");
    }
    return say(
        "%s in %s",
        clusters(sample.clusters()),
        Figures.counted(counts().strata().size(), "stratum", "strata"));
  }

  private String clusters(long number) {
    return sample.rowByRow()
        ? Figures.counted(number, "row", "rows")
        : Figures.counted(number, "cluster", "clusters");
  }

  private boolean extreme() {
    Weights weights = counts().weights();
    boolean manyRows = weights.rows() > MANY_ROWS;
    return weights.greatest() > EXTREME * weights.sum() / weights.rows()
        || (manyRows && shareOfLargest() > EXTREME_SHARE);
  }

  private Condition weights() {
    Weights weights = counts().weights();
    return DesignAssumptions.weights(
        weights.least(), weights.greatest(), Math.min(1, shareOfLargest()), !extreme());
  }

  /**
   * What to be careful of in the design.
   *
   * @param outcome which combinations have what is asked about; few clusters of them are told
   * @param what that is, in words
   */
  public List<Caution> cautions(Predicate<List<String>> outcome, String what) {
    List<Caution> cautions = new ArrayList<>();
    if (sample.df() < ENOUGH_DF) {
      cautions.add(DesignCautions.fewDegrees(degrees(), sample.df() == 1));
    }
    long with = sample.clustersWith(outcome);
    boolean few = with < ENOUGH_CLUSTERS && with < sample.clusters();
    if (!sample.replicated() && !sample.rowByRow() && few) {
      cautions.add(DesignCautions.fewClusters(with, sample.clusters(), what));
    }
    Weights weights = counts().weights();
    if (design().weight() != null && extreme()) {
      cautions.add(
          DesignCautions.extremeWeights(
              weights.greatest() * weights.rows() / weights.sum(), Math.min(1, shareOfLargest())));
    }
    if (weights.zero() + weights.missing() > 0) {
      cautions.add(DesignCautions.noWeight(weights.zero(), weights.missing()));
    }
    return cautions;
  }

  /** The cautions of the design and of the data. */
  public List<Caution> cautions(
      Predicate<List<String>> outcome, String what, @Nullable Provenance from) {
    List<Caution> cautions = cautions(outcome, what);
    if (from != null) {
      cautions.addAll(DataCautions.of(from, counts().units().total()));
    }
    return cautions;
  }

  private static boolean seen(DesignedProportion proportion) {
    return !proportion.allOrNone() && proportion.rows() > 1 && proportion.standardError() > 0;
  }

  /** Whether there are weights. */
  public boolean weighted() {
    return design().weight() != null;
  }

  /** The design effect in words; nothing if it can't be estimated. */
  public static List<Finding> costs(DesignedProportion proportion) {
    return !seen(proportion)
        ? List.of()
        : List.of(
            Finding.sentence(
                say(
                    "Design effect %s: %s rows tell as much as %s drawn simply at random (unequal"
                        + " weights alone: as %s). The next such sample is planned with it.",
                    Figures.significant(proportion.designEffect(), 3),
                    Figures.count(proportion.rows()),
                    Figures.count(Math.round(proportion.effectiveRows())),
                    Figures.count(Math.round(proportion.byWeights())))));
  }

  /**
   * The next sample, planned with this one's design effect.
   *
   * @param expected the plan, up to the rates that are expected
   * @param now the two-sided interval whose width is wanted again
   * @param effect the design effect
   */
  public static List<Finding> planned(NextQuestion expected, Interval now, double effect) {
    double half = (now.upper() - now.lower()) / 2;
    return !(Sampling.allows(effect) && half > 0)
        ? List.of()
        : List.of(
            Finding.say(
                Block.paragraph("To plan the next such sample, for an interval as wide as this:"),
                Block.CommandLine.of(asWide(expected, half, now.level(), effect))));
  }

  private static NextQuestion asWide(
      NextQuestion expected, double half, double level, double effect) {
    NextQuestion plan = expected.with("half-width", rate(half));
    return (level == USUAL_LEVEL ? plan : plan.with("level", Figures.exactPercent(level)))
        .with("design-effect", Figures.significant(effect, 3));
  }

  /** A rate as a plan takes it: never rounded to 0 or 100 percent. */
  public static String rate(double rate) {
    String percent = Figures.percent(rate);
    return percent.matches("0(\\.0*)?%|100(\\.0*)?%") ? Figures.exactPercent(rate) : percent;
  }

  /** Figures of the design effect, for machines. */
  public static Value.Fields figures(DesignedProportion proportion) {
    return Value.fields()
        .with("value", proportion.value())
        .with("standardError", proportion.standardError())
        .with("successes", proportion.successes())
        .with("rowsCounted", proportion.rows())
        .with("designEffect", proportion.designEffect())
        .with("effectiveRows", proportion.effectiveRows())
        .with("effectiveByWeights", proportion.byWeights())
        .with("df", proportion.df());
  }
}
