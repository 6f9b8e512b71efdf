package dev.tavik.study.plan;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Question;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.phrase.PlanVerdicts;
import dev.tavik.phrase.RefusalPhrases;
import dev.tavik.planning.DifferencePrecision;
import dev.tavik.planning.Precision;
import dev.tavik.planning.RatePrecision;
import dev.tavik.planning.SampleSize;
import dev.tavik.planning.Sizes;
import dev.tavik.result.Figures;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.Proportion;
import dev.tavik.study.plan.Precisions.PlannedPrecision;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.LongStream;
import org.jspecify.annotations.Nullable;

/**
 * Asks before there are data: how many observations make an interval of a given half-width, or how
 * wide is an interval of a given size? Exactly one of the lists of half-widths and sizes is empty
 * and is solved for.
 *
 * @param label the analyst's name for it, empty for none
 * @param kind what is planned: rate or compare
 * @param intervals one for each combination of rates, level and method
 * @param halfWidths half the lengths that are wanted; empty if they are to be told
 * @param sizes the sizes of the first group; empty if they are to be told
 * @param worstCase whether rates of one half were taken because none was given
 * @param words how the plan is worded
 */
public record PrecisionQuestion(
    String label,
    String kind,
    List<Precision> intervals,
    List<Double> halfWidths,
    List<Long> sizes,
    boolean worstCase,
    PlanWords words)
    implements Question {
  private static final double[] VARIED = {0.5, 0.75, 1.25, 1.5};

  /**
   * Checks and copies the parts.
   *
   * @throws IllegalArgumentException if not exactly one of half-widths and sizes is empty, or a
   *     value is out of its range
   */
  public PrecisionQuestion {
    intervals = List.copyOf(intervals);
    halfWidths = List.copyOf(halfWidths);
    sizes = List.copyOf(sizes);
    require(!intervals.isEmpty(), "a plan needs an interval");
    if (halfWidths.isEmpty() == sizes.isEmpty()) {
      throw new IllegalArgumentException(
          halfWidths.isEmpty()
              ? "either n or half-width must be given, and the other is solved for"
              : "n and half-width are both given, so that nothing is left to solve for");
    }
    halfWidths.forEach(half -> Proportion.require("half-width", half));
    for (Precision interval : intervals) {
      for (long n : sizes) {
        require(
            n >= 1 && n <= interval.most(),
            "n must be from 1 to %s, got %s",
            Figures.count(interval.most()),
            n);
      }
    }
    long lines = (long) intervals.size() * Math.max(halfWidths.size(), sizes.size());
    require(
        lines <= PlanQuestion.MOST_LINES,
        "a plan has at most %s lines, these lists give %s",
        PlanQuestion.MOST_LINES,
        Figures.count(lines));
  }

  /**
   * Asks for the number of observations for given half-widths.
   *
   * @param intervals the intervals and the rates expected, all of one kind
   * @param halfWidths half the lengths that are wanted, each strictly between 0 and 1
   * @return the question
   * @throws IllegalArgumentException if a list is empty or a value out of its range
   */
  public static PrecisionQuestion forHalfWidths(
      List<Precision> intervals, List<Double> halfWidths) {
    return of(intervals, halfWidths, List.of());
  }

  /**
   * Asks for the half-widths of intervals of given sizes.
   *
   * @param intervals the intervals and the rates expected, all of one kind
   * @param sizes the sizes of the first group
   * @return the question
   * @throws IllegalArgumentException if a list is empty or a value out of its range
   */
  public static PrecisionQuestion forSizes(List<Precision> intervals, List<Long> sizes) {
    return of(intervals, List.of(), sizes);
  }

  private static PrecisionQuestion of(
      List<Precision> intervals, List<Double> halfWidths, List<Long> sizes) {
    boolean two = intervals.stream().anyMatch(each -> each instanceof DifferencePrecision);
    PlanWords words = new PlanWords("observations", "", null);
    return new PrecisionQuestion(
        "", two ? "compare" : "rate", intervals, halfWidths, sizes, false, words);
  }

  /**
   * Returns a copy with a name, which the answer uses.
   *
   * @param name what is asked about
   * @return the question with that name
   */
  public PrecisionQuestion named(String name) {
    return new PrecisionQuestion(name, kind, intervals, halfWidths, sizes, worstCase, words);
  }

  @Override
  public Answer ask() {
    List<PlannedPrecision> lines = new ArrayList<>();
    for (Precision interval : intervals) {
      for (double half : halfWidths) {
        lines.add(solved(interval, half));
      }
      for (long n : sizes) {
        lines.add(line(interval, null, interval.sizes((double) n)));
      }
    }
    return Answer.to(this, AnswerKind.PLAN, label)
        .add(Finding.fact("for", new Value.Words(kind)))
        .add(Finding.fact("solvedFor", new Value.Words(sizes.isEmpty() ? "n" : "half-width")))
        .add(new Precisions(this, lines))
        .cautions(cautions(lines))
        .concluded(Verdict.of(conclusion(lines)).inOwnWords());
  }

  private PlannedPrecision solved(Precision interval, double half) {
    try {
      return line(interval, half, SampleSize.of(interval, half).sizes());
    } catch (NotApplicableException | ArithmeticException e) {
      return new PlannedPrecision(interval, half, null, 0, RefusalPhrases.of(e), List.of(), "");
    }
  }

  private PlannedPrecision line(Precision interval, @Nullable Double wanted, Sizes planned) {
    double half = interval.halfWidth(planned);
    return new PlannedPrecision(
        interval,
        wanted,
        planned,
        half,
        "",
        varied(interval, planned),
        sentence(interval, planned));
  }

  /** The half-width under different rates. */
  private static List<Precisions.Varied> varied(Precision interval, Sizes planned) {
    List<Precisions.Varied> varied = new ArrayList<>();
    for (double factor : VARIED) {
      Precision other;
      double rate;
      try {
        if (interval instanceof RatePrecision one) {
          rate = decimal(one.expected() * factor);
          other = new RatePrecision(one.proportionInterval(), one.level(), rate, one.sampling());
        } else {
          DifferencePrecision two = (DifferencePrecision) interval;
          rate = decimal(two.base() * factor);
          other =
              new DifferencePrecision(
                  two.differenceInterval(),
                  two.level(),
                  rate,
                  decimal(two.expected() * factor),
                  two.allocation(),
                  two.sampling());
        }
      } catch (IllegalArgumentException e) {
        // A rate of 1 or more isn't one.
        continue;
      }
      varied.add(new Precisions.Varied(rate, other.halfWidth(planned)));
    }
    return varied;
  }

  private static double decimal(double value) {
    return Double.parseDouble(Figures.significant(value, 12));
  }

  private String sentence(Precision interval, Sizes planned) {
    boolean one = interval instanceof RatePrecision;
    String rates =
        interval instanceof RatePrecision rate
            ? PlanVerdicts.rates(rate.expected(), null)
            : PlanVerdicts.rates(
                ((DifferencePrecision) interval).base(),
                ((DifferencePrecision) interval).expected());
    return PlanVerdicts.halfWidth(
        PlanVerdicts.sizes(planned, words.units(), words.group()),
        interval.level(),
        interval.interval(),
        !one,
        interval.halfWidth(planned),
        rates,
        worstCase);
  }

  private String conclusion(List<PlannedPrecision> lines) {
    List<PlannedPrecision> planned = lines.stream().filter(line -> line.sizes() != null).toList();
    if (planned.isEmpty()) {
      return PlanVerdicts.none(lines.get(0).refused());
    }
    if (planned.size() == 1) {
      return planned.get(0).sentence();
    }
    if (!sizes.isEmpty()) {
      return PlanVerdicts.halfWidths(
          planned.stream().mapToDouble(PlannedPrecision::halfWidth).min().orElse(0),
          planned.stream().mapToDouble(PlannedPrecision::halfWidth).max().orElse(0));
    }
    LongStream totals = planned.stream().mapToLong(PrecisionQuestion::total);
    long[] sorted = totals.sorted().toArray();
    return PlanVerdicts.needed(sorted[0], sorted[sorted.length - 1], words.units());
  }

  private static long total(PlannedPrecision line) {
    Sizes planned = line.sizes();
    return planned == null ? 0 : planned.total();
  }

  private List<Caution> cautions(List<PlannedPrecision> lines) {
    List<Caution> cautions = new ArrayList<>();
    for (PlannedPrecision line : lines) {
      Sizes planned = line.sizes();
      if (planned == null) {
        continue;
      }
      Long population =
          line.interval() instanceof RatePrecision one
              ? one.sampling().population()
              : ((DifferencePrecision) line.interval()).sampling().population();
      long invited = words.invited(planned.first());
      if (population != null && invited > population) {
        cautions.add(PlanVerdicts.tooFewToInvite(invited, population));
        break;
      }
    }
    return cautions;
  }
}
