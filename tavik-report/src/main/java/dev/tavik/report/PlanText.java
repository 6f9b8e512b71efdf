package dev.tavik.report;

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
import dev.tavik.report.TextTable.Align;
import dev.tavik.result.Figures;
import dev.tavik.study.PlanAnswer;
import dev.tavik.study.PlanAnswer.Line;
import dev.tavik.study.PlanAnswer.Plan;
import dev.tavik.study.PlanWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/** Plans, in words and tables. */
final class PlanText {
  private static final int MOST_SENTENCES = 3;

  private final Lines lines;

  PlanText(Lines lines) {
    this.lines = lines;
  }

  /** A line of the table, as asked or by exact power. */
  private record Row(Line line, @Nullable Plan plan, boolean beside) {
    boolean exact() {
      return beside || line.design().theory() == Theory.EXACT;
    }

    String test() {
      return beside ? "  exactly" : PlanText.test(line.design());
    }
  }

  /** A test that has power by the normal distribution too says where it is exact. */
  static String test(Design design) {
    boolean choice =
        design instanceof RateDesign rate
            ? RateDesign.hasNormal(rate.proportionTest())
            : design instanceof CompareDesign comparison
                ? CompareDesign.hasNormal(comparison.twoProportionTest())
                : design instanceof PairedDesign pairs && pairs.pairedTest() == PairedTest.MCNEMAR;
    return design.test() + (choice && design.theory() == Theory.EXACT ? ", exact" : "");
  }

  void write(PlanAnswer answer) {
    TextReport.verdict(lines, answer.conclusion());
    List<Row> rows = new ArrayList<>();
    for (Line line : answer.lines()) {
      Plan exact = line.exact();
      rows.add(new Row(line, line.plan(), false));
      if (exact != null) {
        rows.add(new Row(line, exact, true));
      }
    }
    lines.heading("The plan, solved for " + solved(answer) + given(answer));
    Column.table(lines, columns(answer, rows), rows);
    refusals(answer);
    sentences(answer);
    sensitivity(answer);
    TextReport.cautions(lines, answer.cautions());
  }

  private static String solved(PlanAnswer answer) {
    return answer.asked().effects().isEmpty()
        ? "the effect"
        : answer.asked().powers().isEmpty() ? "power" : "n";
  }

  /** What is the same in all lines needs no column. */
  private static String given(PlanAnswer answer) {
    List<String> same = new ArrayList<>();
    if (oneAlpha(answer) && !Double.isNaN(answer.lines().get(0).design().alpha())) {
      same.add("alpha " + Figures.plain(answer.lines().get(0).design().alpha()));
    }
    if (answer.asked().powers().size() == 1) {
      same.add(Figures.exactPercent(answer.asked().powers().get(0)) + " wanted");
    }
    return same.isEmpty() ? "" : " (" + String.join(", ", same) + ")";
  }

  private static boolean oneAlpha(PlanAnswer answer) {
    return answer.asked().designs().stream().map(Design::alpha).distinct().count() == 1;
  }

  private static List<Column<Row>> columns(PlanAnswer answer, List<Row> rows) {
    List<Column<Row>> columns = new ArrayList<>();
    if (rows.stream().map(Row::test).distinct().count() > 1) {
      columns.add(new Column<>("test", Align.LEFT, Row::test));
    }
    Design some = rows.get(0).line().design();
    String base = baseName(some);
    if (!base.isEmpty()) {
      columns.add(new Column<>(base, Align.POINT, row -> base(row.line().design())));
    }
    if (some instanceof TableDesign) {
      columns.add(
          new Column<>(
              "df", Align.RIGHT, row -> String.valueOf(((TableDesign) row.line().design()).df())));
    }
    if (!(some instanceof TrendDesign)) {
      columns.add(new Column<>(effectName(some), Align.POINT, row -> expected(some, row)));
    }
    if (some instanceof Evidence) {
      columns.add(
          new Column<>(
              "threshold",
              Align.POINT,
              row -> Figures.plain(((Evidence) row.line().design()).threshold())));
    } else if (!oneAlpha(answer)) {
      columns.add(
          new Column<>("alpha", Align.POINT, row -> Figures.plain(row.line().design().alpha())));
    }
    if (answer.asked().powers().size() > 1) {
      columns.add(
          new Column<>(
              "wanted",
              Align.POINT,
              row -> {
                Double wanted = row.line().wanted();
                return wanted == null ? "" : Figures.exactPercent(wanted);
              }));
    }
    addSizes(columns, rows, answer.asked().words());
    columns.add(
        new Column<>(
            some instanceof Evidence ? "chance" : "power",
            Align.POINT,
            planned(plan -> Figures.chance(plan.power()))));
    if (rows.stream().anyMatch(Row::exact)) {
      columns.add(
          new Column<>(
              some instanceof Evidence ? "misled" : "true alpha",
              Align.POINT,
              row ->
                  row.exact()
                      ? planned(
                              plan ->
                                  Double.isNaN(plan.alpha()) ? "" : Figures.chance(plan.alpha()))
                          .apply(row)
                      : ""));
    }
    if (some(rows, plan -> !plan.holdsFrom().equals(plan.sizes()))) {
      columns.add(
          new Column<>("holds from", Align.RIGHT, planned(plan -> sizes(plan.holdsFrom()))));
    }
    return columns;
  }

  private static void addSizes(List<Column<Row>> columns, List<Row> rows, PlanWords words) {
    boolean groups = some(rows, plan -> plan.sizes().groups().size() > 1);
    columns.add(new Column<>("n", Align.RIGHT, planned(plan -> sizes(plan.sizes()))));
    if (groups) {
      columns.add(
          new Column<>("total", Align.RIGHT, planned(plan -> Figures.count(plan.sizes().total()))));
    }
    if (words.response() != null) {
      columns.add(
          new Column<>("invite", Align.RIGHT, planned(plan -> invited(plan.sizes(), words))));
    }
  }

  private static boolean some(List<Row> rows, Predicate<Plan> condition) {
    return rows.stream().map(Row::plan).anyMatch(plan -> plan != null && condition.test(plan));
  }

  private static Function<Row, String> planned(Function<Plan, String> cell) {
    return row -> {
      Plan plan = row.plan();
      return plan == null ? "-" : cell.apply(plan);
    };
  }

  static String invited(Sizes sizes, PlanWords words) {
    return Figures.count(sizes.groups().stream().mapToLong(words::invited).sum());
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

  private static String base(Design design) {
    if (design instanceof RateDesign rate) {
      return Figures.exactPercent(rate.hypothesis().against());
    }
    if (design instanceof EvidenceDesign evidence) {
      return Figures.exactPercent(evidence.hypothesis().against());
    }
    if (design instanceof PairedDesign pairs) {
      return Figures.rate(pairs.secondOnly());
    }
    return Figures.rate(
        design instanceof ComparedEvidenceDesign evidence
            ? evidence.base()
            : ((CompareDesign) design).base());
  }

  private static String effectName(Design design) {
    return design instanceof TableDesign
        ? "w"
        : design instanceof PairedDesign ? "first only" : "expected";
  }

  private static String expected(Design some, Row row) {
    Plan plan = row.plan();
    double effect = plan == null ? row.line().expected() : plan.effect();
    return Double.isNaN(effect) ? "-" : effect(some, effect);
  }

  private static String effect(Design design, double effect) {
    return design instanceof TableDesign ? Figures.upTo(effect, 4) : Figures.rate(effect);
  }

  /** 2 x 750, or 500 + 1,249. */
  static String sizes(Sizes sizes) {
    if (sizes.groups().size() == 1) {
      return Figures.count(sizes.first());
    }
    return sizes.equal()
        ? sizes.groups().size() + " x " + Figures.count(sizes.first())
        : String.join(" + ", sizes.groups().stream().map(Figures::count).toList());
  }

  private void refusals(PlanAnswer answer) {
    for (Line line : answer.lines()) {
      if (line.plan() == null) {
        lines.paragraph("  - ", "    ", line.design().test() + ": " + line.refused() + ".");
      }
    }
  }

  private void sentences(PlanAnswer answer) {
    List<String> sentences =
        answer.lines().stream().map(Line::sentence).filter(each -> !each.isEmpty()).toList();
    if (sentences.size() < 2) {
      return;
    }
    lines.heading(
        sentences.size() > MOST_SENTENCES ? "For a protocol, the first of them" : "For a protocol");
    sentences.stream()
        .limit(sentences.size() > MOST_SENTENCES ? 1 : MOST_SENTENCES)
        .forEach(sentence -> lines.paragraph("  ", "  ", sentence));
  }

  private void sensitivity(PlanAnswer answer) {
    Line line =
        answer.lines().stream()
            .filter(each -> !each.sensitivity().isEmpty())
            .findFirst()
            .orElse(null);
    if (line == null || line.plan() == null) {
      return;
    }
    Plan plan = line.plan();
    boolean bases = line.sensitivity().stream().anyMatch(each -> each.base() != null);
    lines.heading(
        String.format(
            Locale.ROOT,
            "If %s were a bit different, with %s%s",
            bases
                ? line.design() instanceof PairedDesign ? "both rates" : "the base rate"
                : line.design() instanceof TableDesign ? "w" : "the true rate",
            sizes(plan.sizes()),
            answer.lines().size() > 1
                ? " (line " + (answer.lines().indexOf(line) + 1) + " above)"
                : ""));
    List<Column<PlanAnswer.Varied>> columns = new ArrayList<>();
    if (bases) {
      columns.add(
          new Column<>(
              baseName(line.design()),
              Align.POINT,
              varied -> {
                Double base = varied.base();
                return base == null ? "" : Figures.rate(base);
              }));
    }
    columns.add(
        new Column<>(
            effectName(line.design()),
            Align.POINT,
            varied -> effect(line.design(), varied.effect())));
    columns.add(
        new Column<>(
            line.design() instanceof Evidence ? "chance" : "power",
            Align.POINT,
            varied -> Figures.chance(varied.power())));
    if (line.sensitivity().stream().anyMatch(varied -> varied.needed() != null)) {
      columns.add(
          new Column<>(
              "n needed",
              Align.RIGHT,
              varied -> {
                Sizes needed = varied.needed();
                return needed == null ? "-" : sizes(needed);
              }));
    }
    Column.table(lines, columns, line.sensitivity());
  }
}
