package dev.tavik.study.plan;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Block;
import dev.tavik.answer.Value;
import dev.tavik.planning.CompareDesign;
import dev.tavik.planning.ComparedEvidenceDesign;
import dev.tavik.planning.Design;
import dev.tavik.planning.Evidence;
import dev.tavik.planning.EvidenceDesign;
import dev.tavik.planning.PairedDesign;
import dev.tavik.planning.RateDesign;
import dev.tavik.planning.Sizes;
import dev.tavik.planning.TableDesign;
import dev.tavik.planning.Theory;
import dev.tavik.planning.TrendDesign;
import dev.tavik.proportion.PairedTest;
import dev.tavik.result.Figures;
import dev.tavik.study.parts.ColumnOf;
import dev.tavik.study.plan.Plans.Line;
import dev.tavik.study.plan.Plans.Plan;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/** What readers see of a plan: the lines, sentences for a protocol, what if the truth differed. */
final class PlanReading {
  private static final int MOST_SENTENCES = 3;

  private final Plans plans;
  private final PlanQuestion asked;
  private final List<Row> rows = new ArrayList<>();
  private final List<Block> blocks = new ArrayList<>();

  /** A line, or the exact plan beside one. */
  private record Row(Line line, @Nullable Plan plan, boolean beside) {
    boolean exact() {
      return beside || line.design().theory() == Theory.EXACT;
    }

    String test() {
      return beside ? "  exactly" : PlanReading.test(line.design());
    }
  }

  PlanReading(Plans plans) {
    this.plans = plans;
    this.asked = plans.asked();
    for (Line line : plans.lines()) {
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
    for (Line line : plans.lines()) {
      if (line.plan() == null) {
        blocks.add(
            Block.paragraph(line.design().test() + ": " + line.refused() + ".", Block.Manner.ITEM));
      }
    }
    sentences();
    plans.lines().stream()
        .filter(each -> !each.sensitivity().isEmpty())
        .findFirst()
        .ifPresent(this::sensitivity);
    return blocks;
  }

  /** A test with both kinds of power says which it has. */
  static String test(Design design) {
    boolean choice =
        design instanceof RateDesign rate
            ? RateDesign.hasNormal(rate.proportionTest())
            : design instanceof CompareDesign comparison
                ? CompareDesign.hasNormal(comparison.twoProportionTest())
                : design instanceof PairedDesign pairs && pairs.pairedTest() == PairedTest.MCNEMAR;
    return design.test() + (choice && design.theory() == Theory.EXACT ? ", exact" : "");
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
    return asked.designs().stream().map(Design::alpha).distinct().count() == 1;
  }

  private List<ColumnOf<Row>> columns() {
    List<ColumnOf<Row>> columns = new ArrayList<>();
    Design some = rows.get(0).line().design();
    if (rows.stream().map(Row::test).distinct().count() > 1) {
      columns.add(ColumnOf.words("test", Row::test));
    }
    if (!baseName(some).isEmpty()) {
      columns.add(ColumnOf.numbers(baseName(some), row -> base(row.line().design())));
    }
    if (some instanceof TableDesign) {
      columns.add(
          ColumnOf.counts(
              "df",
              row -> new Value.Words(String.valueOf(((TableDesign) row.line().design()).df()))));
    }
    if (!(some instanceof TrendDesign)) {
      columns.add(ColumnOf.numbers(effectName(some), row -> expected(some, row)));
    }
    threshold(columns, some);
    sizes(columns);
    columns.add(
        ColumnOf.numbers(
            some instanceof Evidence ? "chance" : "power",
            planned(plan -> Value.Share.CHANCE.of(plan.power()))));
    if (rows.stream().anyMatch(Row::exact)) {
      columns.add(
          ColumnOf.numbers(
              some instanceof Evidence ? "misled" : "true alpha",
              row -> row.exact() ? planned(PlanReading::alpha).apply(row) : Value.none()));
    }
    if (some(plan -> !plan.holdsFrom().equals(plan.sizes()))) {
      columns.add(
          ColumnOf.counts("holds from", planned(plan -> new Value.Words(sizes(plan.holdsFrom())))));
    }
    return columns;
  }

  private void threshold(List<ColumnOf<Row>> columns, Design some) {
    if (some instanceof Evidence) {
      columns.add(
          ColumnOf.numbers(
              "threshold", row -> Value.number(((Evidence) row.line().design()).threshold())));
    } else if (!oneAlpha()) {
      columns.add(ColumnOf.numbers("alpha", row -> Value.number(row.line().design().alpha())));
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

  private static String baseName(Design design) {
    if (design instanceof RateDesign || design instanceof EvidenceDesign) {
      return "null";
    }
    if (design instanceof PairedDesign) {
      return "second only";
    }
    return design instanceof CompareDesign || design instanceof ComparedEvidenceDesign
        ? "base"
        : "";
  }

  private static Value base(Design design) {
    if (design instanceof RateDesign rate) {
      return Value.Share.STATED.of(rate.hypothesis().against());
    }
    if (design instanceof EvidenceDesign evidence) {
      return Value.Share.STATED.of(evidence.hypothesis().against());
    }
    if (design instanceof PairedDesign pairs) {
      return Value.Share.RATE.of(pairs.secondOnly());
    }
    return Value.Share.RATE.of(
        design instanceof ComparedEvidenceDesign evidence
            ? evidence.base()
            : ((CompareDesign) design).base());
  }

  private static String effectName(Design design) {
    return design instanceof TableDesign
        ? "w"
        : design instanceof PairedDesign ? "first only" : "expected";
  }

  private static Value expected(Design some, Row row) {
    Plan plan = row.plan();
    double effect = plan == null ? row.line().expected() : plan.effect();
    return Double.isNaN(effect) ? Value.none("-") : effect(some, effect);
  }

  private static Value effect(Design design, double effect) {
    return design instanceof TableDesign ? Value.upTo(effect, 4) : Value.Share.RATE.of(effect);
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
        plans.lines().stream().map(Line::sentence).filter(each -> !each.isEmpty()).toList();
    if (sentences.size() < 2) {
      return;
    }
    boolean many = sentences.size() > MOST_SENTENCES;
    blocks.add(Block.heading(many ? "For a protocol, the first of them" : "For a protocol"));
    sentences.stream()
        .limit(many ? 1 : MOST_SENTENCES)
        .forEach(sentence -> blocks.add(Block.paragraph(sentence)));
  }

  private void sensitivity(Line line) {
    Plan plan = line.plan();
    if (plan == null) {
      return;
    }
    boolean bases = line.sensitivity().stream().anyMatch(each -> each.base() != null);
    String heading =
        say(
            "If %s were a bit different, with %s%s",
            bases
                ? line.design() instanceof PairedDesign ? "both rates" : "the base rate"
                : line.design() instanceof TableDesign ? "w" : "the true rate",
            sizes(plan.sizes()),
            plans.lines().size() > 1
                ? " (line " + (plans.lines().indexOf(line) + 1) + " above)"
                : "");
    blocks.addAll(ColumnOf.sheet(heading, varied(line, bases), line.sensitivity()).reading());
  }

  private static List<ColumnOf<Plans.Varied>> varied(Line line, boolean bases) {
    List<ColumnOf<Plans.Varied>> columns = new ArrayList<>();
    if (bases) {
      columns.add(
          ColumnOf.numbers(
              baseName(line.design()),
              varied -> {
                Double base = varied.base();
                return base == null ? Value.none() : Value.Share.RATE.of(base);
              }));
    }
    columns.add(
        ColumnOf.numbers(
            effectName(line.design()), varied -> effect(line.design(), varied.effect())));
    columns.add(
        ColumnOf.numbers(
            line.design() instanceof Evidence ? "chance" : "power",
            varied -> Value.Share.CHANCE.of(varied.power())));
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
