package dev.tavik.study.plan;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Block;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Value;
import dev.tavik.planning.DifferencePrecision;
import dev.tavik.planning.Precision;
import dev.tavik.planning.RatePrecision;
import dev.tavik.planning.Sampling;
import dev.tavik.planning.Sizes;
import dev.tavik.result.Figures;
import dev.tavik.study.parts.ColumnOf;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Holds the lines of a plan for intervals.
 *
 * @param asked the question
 * @param lines one for each combination
 */
record Precisions(PrecisionQuestion asked, List<PlannedPrecision> lines) implements Finding {
  /** Copies the lines. */
  public Precisions {
    lines = List.copyOf(lines);
  }

  /**
   * One combination.
   *
   * @param interval the interval that is planned
   * @param wanted half the length that was asked for; null where it was solved for
   * @param sizes how many observations; null where no number reaches it
   * @param halfWidth half the length that they reach
   * @param refused why no number reaches it; empty where one does
   * @param sensitivity what if the rate were different
   * @param sentence the plan in words
   */
  public record PlannedPrecision(
      Precision interval,
      @Nullable Double wanted,
      @Nullable Sizes sizes,
      double halfWidth,
      String refused,
      List<Varied> sensitivity,
      String sentence) {
    /** Copies the list. */
    public PlannedPrecision {
      sensitivity = List.copyOf(sensitivity);
    }
  }

  /**
   * The half-width of the same size under another rate.
   *
   * @param rate the rate, or the base rate
   * @param halfWidth half the length of the interval then
   */
  public record Varied(double rate, double halfWidth) {}

  @Override
  public String key() {
    return "lines";
  }

  @Override
  public Value figures() {
    return Value.list(lines, this::figures);
  }

  private Value figures(PlannedPrecision line) {
    Value.Fields fields =
        Value.fields()
            .with("interval", line.interval().interval())
            .with("level", line.interval().level());
    Sampling sampling;
    if (line.interval() instanceof DifferencePrecision two) {
      fields
          .with("base", two.base())
          .with("expect", two.expected())
          .with("allocation", two.allocation());
      sampling = two.sampling();
    } else {
      RatePrecision rate = (RatePrecision) line.interval();
      fields.with("expect", rate.expected());
      sampling = rate.sampling();
    }
    fields
        .with("worstCase", asked.worstCase())
        .with("lot", sampling.population())
        .with("designEffect", sampling.designEffect())
        .with("halfWidth", line.wanted());
    Sizes planned = line.sizes();
    if (planned == null) {
      return fields.with("refused", line.refused());
    }
    fields.with("n", PlanFigures.sizes(planned)).with("total", planned.total());
    if (asked.words().response() != null) {
      fields.with("invite", PlanFigures.invited(planned, asked.words()));
    }
    String varied = line.interval() instanceof RatePrecision ? "expect" : "base";
    return fields
        .with("attainedHalfWidth", line.halfWidth())
        .with(
            "sensitivity",
            Value.list(
                line.sensitivity(),
                each ->
                    Value.fields()
                        .with(varied, each.rate())
                        .with("attainedHalfWidth", each.halfWidth())))
        .with("sentence", line.sentence());
  }

  @Override
  public List<Block> reading() {
    boolean half = asked.sizes().isEmpty();
    String heading = "The plan, solved for " + (half ? "n" : "half the length of the interval");
    List<Block> blocks = new ArrayList<>(ColumnOf.sheet(heading, columns(half), lines).reading());
    blocks.add(
        Block.paragraph(
            "Half the length of the interval, in percentage points, where what is observed is what is"
                + " expected."));
    for (PlannedPrecision line : lines) {
      if (!line.refused().isEmpty()) {
        blocks.add(
            Block.paragraph(
                line.interval().interval() + ": " + line.refused() + ".", Block.Style.ITEM));
      }
    }
    lines.stream()
        .filter(each -> !each.sensitivity().isEmpty())
        .findFirst()
        .ifPresent(line -> blocks.addAll(varied(line)));
    return blocks;
  }

  private boolean two() {
    return asked.intervals().get(0) instanceof DifferencePrecision;
  }

  private List<ColumnOf<PlannedPrecision>> columns(boolean half) {
    List<ColumnOf<PlannedPrecision>> columns = new ArrayList<>();
    columns.add(ColumnOf.words("interval", line -> line.interval().interval()));
    columns.add(ColumnOf.numbers("level", line -> Value.Share.STATED.of(line.interval().level())));
    if (two()) {
      columns.add(
          ColumnOf.numbers(
              "base", line -> Value.Share.RATE.of(((DifferencePrecision) line.interval()).base())));
    }
    columns.add(ColumnOf.numbers("expected", line -> Value.Share.RATE.of(expected(line))));
    if (half) {
      columns.add(ColumnOf.numbers("wanted", Precisions::wanted));
    }
    columns.add(
        ColumnOf.counts("n", line -> planned(line, n -> new Value.Words(PlanReading.sizes(n)))));
    if (asked.words().response() != null) {
      columns.add(
          ColumnOf.counts(
              "invite",
              line -> planned(line, n -> new Value.Count(PlanFigures.invited(n, asked.words())))));
    }
    columns.add(ColumnOf.numbers("reaches", line -> planned(line, n -> reaches(line.halfWidth()))));
    return columns;
  }

  private static Value wanted(PlannedPrecision line) {
    Double wanted = line.wanted();
    return wanted == null
        ? Value.none()
        : new Value.Real(wanted, () -> Figures.exactPoints(wanted));
  }

  private static Value planned(
      PlannedPrecision line, java.util.function.Function<Sizes, Value> cell) {
    Sizes planned = line.sizes();
    return planned == null ? Value.none("-") : cell.apply(planned);
  }

  private static Value reaches(double halfWidth) {
    return new Value.Real(halfWidth, () -> Figures.significant(100 * halfWidth, 3));
  }

  private static double expected(PlannedPrecision line) {
    return line.interval() instanceof RatePrecision one
        ? one.expected()
        : ((DifferencePrecision) line.interval()).expected();
  }

  private List<Block> varied(PlannedPrecision line) {
    Sizes planned = line.sizes();
    if (planned == null) {
      return List.of();
    }
    String heading =
        say(
            "If %s, with %s%s",
            two() ? "both rates were different" : "the rate were different",
            PlanReading.sizes(planned),
            lines.size() > 1 ? " (line " + (lines.indexOf(line) + 1) + " above)" : "");
    return ColumnOf.<Varied>sheet(
            heading,
            List.of(
                ColumnOf.numbers(
                    two() ? "base" : "expected", varied -> Value.Share.RATE.of(varied.rate())),
                ColumnOf.numbers("reaches", varied -> reaches(varied.halfWidth()))),
            line.sensitivity())
        .reading();
  }
}
