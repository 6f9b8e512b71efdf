package dev.tavik.study.plan;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Block;
import dev.tavik.answer.Value;
import dev.tavik.planning.PowerDesign;
import dev.tavik.planning.PowerMethod;
import dev.tavik.planning.Sizes;
import dev.tavik.result.Figures;
import dev.tavik.study.parts.ColumnOf;
import dev.tavik.study.plan.Plans.Plan;
import dev.tavik.study.plan.Plans.PlanLine;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * The text of a plan: its lines, sentences for a protocol, and the results under a different truth.
 */
final class PlanReading {
  private static final int MOST_SENTENCES = 3;

  private final Plans plans;
  private final PlanQuestion asked;
  private final List<Row> rows = new ArrayList<>();
  private final List<Block> blocks = new ArrayList<>();

  /** A line, or the exact plan beside one. */
  private record Row(PlanLine line, @Nullable Plan plan, boolean beside) {
    boolean exact() {
      return beside || line.design().theory() == PowerMethod.EXACT;
    }

    String test() {
      return beside ? "  exactly" : description().testName();
    }

    PlanDescription description() {
      return line.description();
    }
  }

  PlanReading(Plans plans) {
    this.plans = plans;
    this.asked = plans.asked();
    for (PlanLine line : plans.lines()) {
      Plan exact = line.exact();
      rows.add(new Row(line, line.plan(), false));
      if (exact != null) {
        rows.add(new Row(line, exact, true));
      }
    }
  }

  List<Block> blocks() {
    blocks.addAll(
        ColumnOf.sheet("The plan, solved for " + solved() + given(), columns(), rows).reading());
    for (PlanLine line : plans.lines()) {
      if (line.plan() == null) {
        blocks.add(
            Block.paragraph(line.design().test() + ": " + line.refused() + ".", Block.Style.ITEM));
      }
    }
    sentences();
    plans.lines().stream()
        .filter(each -> !each.sensitivity().isEmpty())
        .findFirst()
        .ifPresent(this::sensitivity);
    return blocks;
  }

  private String solved() {
    return asked.effects().isEmpty() ? "the effect" : asked.powers().isEmpty() ? "power" : "n";
  }

  private String given() {
    List<String> same = new ArrayList<>();
    double alpha = plans.lines().get(0).design().alpha();
    if (oneAlpha() && !Double.isNaN(alpha)) {
      same.add("alpha " + Figures.plain(alpha));
    }
    if (asked.powers().size() == 1) {
      same.add(Figures.exactPercent(asked.powers().get(0)) + " wanted");
    }
    return same.isEmpty() ? "" : " (" + String.join(", ", same) + ")";
  }

  private boolean oneAlpha() {
    return asked.designs().stream().map(PowerDesign::alpha).distinct().count() == 1;
  }

  private List<ColumnOf<Row>> columns() {
    List<ColumnOf<Row>> columns = new ArrayList<>();
    PlanDescription some = rows.get(0).description();
    if (rows.stream().map(Row::test).distinct().count() > 1) {
      columns.add(ColumnOf.words("test", Row::test));
    }
    some.base()
        .ifPresent(
            base ->
                columns.add(
                    ColumnOf.numbers(
                        base.heading(), row -> row.description().base().orElseThrow().value())));
    some.parameter()
        .ifPresent(
            parameter ->
                columns.add(
                    ColumnOf.counts(
                        parameter.heading(),
                        row -> row.description().parameter().orElseThrow().value())));
    if (!some.names().effect().isEmpty()) {
      columns.add(ColumnOf.numbers(some.names().effect(), PlanReading::expected));
    }
    threshold(columns, some);
    sizes(columns);
    columns.add(
        ColumnOf.numbers(some.power(), planned(plan -> Value.Share.CHANCE.of(plan.power()))));
    if (rows.stream().anyMatch(Row::exact)) {
      columns.add(
          ColumnOf.numbers(
              some.alphaHeading(),
              row -> row.exact() ? planned(PlanReading::alpha).apply(row) : Value.none()));
    }
    if (some(plan -> !plan.holdsFrom().equals(plan.sizes()))) {
      columns.add(
          ColumnOf.counts("holds from", planned(plan -> new Value.Words(sizes(plan.holdsFrom())))));
    }
    return columns;
  }

  private void threshold(List<ColumnOf<Row>> columns, PlanDescription some) {
    if (some.threshold().isPresent() || !oneAlpha()) {
      columns.add(
          ColumnOf.numbers(
              some.strictness().heading(), row -> row.description().strictness().value()));
    }
    if (asked.powers().size() > 1) {
      columns.add(
          ColumnOf.numbers(
              "wanted",
              row -> {
                Double wanted = row.line().wanted();
                return wanted == null ? Value.none() : Value.Share.STATED.of(wanted);
              }));
    }
  }

  private static Value alpha(Plan plan) {
    return Double.isNaN(plan.alpha()) ? Value.none() : Value.Share.CHANCE.of(plan.alpha());
  }

  private void sizes(List<ColumnOf<Row>> columns) {
    columns.add(ColumnOf.counts("n", planned(plan -> new Value.Words(sizes(plan.sizes())))));
    if (some(plan -> plan.sizes().groups().size() > 1)) {
      columns.add(ColumnOf.counts("total", planned(plan -> new Value.Count(plan.sizes().total()))));
    }
    if (asked.words().response() != null) {
      columns.add(
          ColumnOf.counts(
              "invite",
              planned(plan -> new Value.Count(PlanFigures.invited(plan.sizes(), asked.words())))));
    }
  }

  private boolean some(Predicate<Plan> condition) {
    return rows.stream().map(Row::plan).anyMatch(plan -> plan != null && condition.test(plan));
  }

  private static Function<Row, Value> planned(Function<Plan, Value> cell) {
    return row -> {
      Plan plan = row.plan();
      return plan == null ? Value.none("-") : cell.apply(plan);
    };
  }

  private static Value expected(Row row) {
    Plan plan = row.plan();
    double effect = plan == null ? row.line().expected() : plan.effect();
    return Double.isNaN(effect) ? Value.none("-") : row.description().scale().value(effect);
  }

  static String sizes(Sizes sizes) {
    if (sizes.groups().size() == 1) {
      return Figures.count(sizes.first());
    }
    return sizes.equal()
        ? sizes.groups().size() + " x " + Figures.count(sizes.first())
        : String.join(" + ", sizes.groups().stream().map(Figures::count).toList());
  }

  private void sentences() {
    List<String> sentences =
        plans.lines().stream().map(PlanLine::sentence).filter(each -> !each.isEmpty()).toList();
    if (sentences.size() < 2) {
      return;
    }
    boolean many = sentences.size() > MOST_SENTENCES;
    blocks.add(Block.heading(many ? "For a protocol, the first of them" : "For a protocol"));
    sentences.stream()
        .limit(many ? 1 : MOST_SENTENCES)
        .forEach(sentence -> blocks.add(Block.paragraph(sentence)));
  }

  private void sensitivity(PlanLine line) {
    Plan plan = line.plan();
    if (plan == null) {
      return;
    }
    boolean bases = line.sensitivity().stream().anyMatch(each -> each.base() != null);
    String heading =
        say(
            "If %s were a bit different, with %s%s",
            line.description().names().varied(),
            sizes(plan.sizes()),
            plans.lines().size() > 1
                ? " (line " + (plans.lines().indexOf(line) + 1) + " above)"
                : "");
    blocks.addAll(ColumnOf.sheet(heading, varied(line, bases), line.sensitivity()).reading());
  }

  private static List<ColumnOf<Plans.Varied>> varied(PlanLine line, boolean bases) {
    PlanDescription description = line.description();
    List<ColumnOf<Plans.Varied>> columns = new ArrayList<>();
    if (bases) {
      columns.add(
          ColumnOf.numbers(
              description.base().orElseThrow().heading(),
              varied -> {
                Double base = varied.base();
                return base == null ? Value.none() : Value.Share.RATE.of(base);
              }));
    }
    columns.add(
        ColumnOf.numbers(
            description.names().effect(), varied -> description.scale().value(varied.effect())));
    columns.add(
        ColumnOf.numbers(description.power(), varied -> Value.Share.CHANCE.of(varied.power())));
    if (line.sensitivity().stream().anyMatch(varied -> varied.needed() != null)) {
      columns.add(
          ColumnOf.counts(
              "n needed",
              varied -> {
                Sizes needed = varied.needed();
                return needed == null ? Value.none("-") : new Value.Words(sizes(needed));
              }));
    }
    return columns;
  }
}
