package dev.tavik.report;

import dev.tavik.count.Tally;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import dev.tavik.study.CompareAnswer;
import dev.tavik.study.PairedAnswer;
import dev.tavik.study.RateAnswer;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** The commands that look up the tails on which p-values rest. */
final class LookUp {
  private final Lines lines;

  LookUp(Lines lines) {
    this.lines = lines;
  }

  void write(RateAnswer answer) {
    Tally tally = answer.tally();
    Long lot = answer.settings().lot();
    double against = answer.settings().hypothesis().against();
    write(
        answer.tests(),
        lot == null
            ? String.format(
                Locale.ROOT,
                "binomial --n %d --p %s --value %d",
                tally.trials(),
                Figures.exactPercent(against),
                tally.successes())
            : String.format(
                Locale.ROOT,
                "hypergeometric --population %d --successes %d --n %d --value %d",
                lot,
                Math.round(lot * against),
                tally.trials(),
                tally.successes()));
  }

  void write(CompareAnswer answer) {
    Tally first = answer.first().tally();
    Tally second = answer.second().tally();
    write(
        answer.tests(),
        String.format(
            Locale.ROOT,
            "hypergeometric --population %d --successes %d --n %d --value %d",
            first.trials() + second.trials(),
            first.successes() + second.successes(),
            first.trials(),
            first.successes()));
  }

  void write(PairedAnswer answer) {
    write(
        answer.tests(),
        String.format(
            Locale.ROOT,
            "binomial --n %d --p 50%% --value %d",
            answer.tally().discordant(),
            answer.tally().firstOnly()));
  }

  /** Exact tests rest on the tail of a count, the others on that of their statistic. */
  private void write(List<TestResult> tests, String exact) {
    Map<String, List<String>> byTail = new LinkedHashMap<>();
    for (TestResult test : tests) {
      TestResult.@Nullable Statistic statistic = test.statistic();
      String tail =
          statistic == null || statistic.name().equals("successes")
              ? exact
              : switch (statistic.name()) {
                case "z" -> "normal --value " + Figures.upTo(statistic.value(), 10);
                case "G2", "X2" ->
                    "chi-square --df 1 --value " + Figures.upTo(statistic.value(), 10);
                default -> "";
              };
      // An unconditional test rests on no single tail.
      if (!tail.isEmpty() && test.nuisance() == null) {
        byTail.computeIfAbsent(tail, key -> new ArrayList<>()).add(test.method().id());
      }
    }
    if (byTail.isEmpty()) {
      return;
    }
    lines.heading("The tails behind the p-values, to look up");
    byTail.forEach(
        (tail, methods) -> {
          lines.paragraph("  ", "  ", String.join(", ", methods) + ":");
          lines.line("    tavik tail " + tail);
        });
  }
}
