package dev.tavik.study.parts;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Block;
import dev.tavik.answer.Depth;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Value;
import dev.tavik.count.PairedTally;
import dev.tavik.count.Tally;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** The tails behind p-values, as commands that look them up; part of the working by hand. */
public record TailCommands(Map<String, List<String>> methodsByTail) implements Finding {
  public static List<Finding> of(
      Tally tally, @Nullable Long lot, double against, List<TestResult> tests) {
    return of(
        tests,
        lot == null
            ? say(
                "binomial --n %d --p %s --value %d",
                tally.trials(), Figures.exactPercent(against), tally.successes())
            : hypergeometric(lot, Math.round(lot * against), tally));
  }

  public static List<Finding> of(Tally first, Tally second, List<TestResult> tests) {
    long both = first.trials() + second.trials();
    // The tail command takes no larger population.
    return of(
        tests,
        both > Tally.MAX_TRIALS
            ? ""
            : hypergeometric(both, first.successes() + second.successes(), first));
  }

  private static String hypergeometric(long population, long successes, Tally drawn) {
    return say(
        "hypergeometric --population %d --successes %d --n %d --value %d",
        population, successes, drawn.trials(), drawn.successes());
  }

  public static List<Finding> of(PairedTally pairs, List<TestResult> tests) {
    return of(
        tests, say("binomial --n %d --p 50%% --value %d", pairs.discordant(), pairs.firstOnly()));
  }

  private static List<Finding> of(List<TestResult> tests, String exact) {
    Map<String, List<String>> byTail = new LinkedHashMap<>();
    for (TestResult test : tests) {
      String tail = tail(test, exact);
      // An unconditional test rests on no single tail.
      if (!tail.isEmpty() && test.nuisance() == null) {
        byTail.computeIfAbsent(tail, key -> new ArrayList<>()).add(test.method().id());
      }
    }
    return byTail.isEmpty() ? List.of() : List.of(new TailCommands(byTail));
  }

  private static String tail(TestResult test, String exact) {
    TestResult.Statistic statistic = test.statistic();
    if (statistic == null || statistic.isCount()) {
      return exact;
    }
    String value = " --value " + Figures.upTo(statistic.value(), 10);
    return switch (statistic.kind()) {
      case Z -> "normal" + value;
      case G2, X2 -> "chi-square --df 1" + value;
      default -> "";
    };
  }

  @Override
  public String key() {
    return "lookUp";
  }

  @Override
  public Depth depth() {
    return Depth.WORKING;
  }

  @Override
  public boolean last() {
    return true;
  }

  @Override
  public Value figures() {
    return Value.list(
        List.copyOf(methodsByTail.entrySet()),
        entry ->
            Value.fields()
                .with("methods", Value.words(entry.getValue()))
                .with("command", "tavik tail " + entry.getKey()));
  }

  @Override
  public List<Block> reading() {
    List<Block> blocks = new ArrayList<>();
    blocks.add(Block.heading("The tails behind the p-values, to look up"));
    methodsByTail.forEach(
        (tail, methods) -> {
          blocks.add(Block.paragraph(String.join(", ", methods) + ":"));
          blocks.add(new Block.CommandLine("tavik tail " + tail));
        });
    return blocks;
  }
}
