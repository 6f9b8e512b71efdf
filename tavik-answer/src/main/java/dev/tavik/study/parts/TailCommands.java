package dev.tavik.study.parts;

import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Block;
import dev.tavik.answer.Depth;
import dev.tavik.answer.Finding;
import dev.tavik.answer.NextQuestion;
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
public record TailCommands(Map<NextQuestion, List<String>> methodsByTail) implements Finding {
  public static List<Finding> of(
      Tally tally, @Nullable Long lot, double against, List<TestResult> tests) {
    return of(
        tests,
        lot == null
            ? binomial(tally.trials(), Figures.exactPercent(against), tally.successes())
            : hypergeometric(lot, Math.round(lot * against), tally));
  }

  public static List<Finding> of(Tally first, Tally second, List<TestResult> tests) {
    long both = first.trials() + second.trials();
    // The tail command takes no larger population.
    return of(
        tests,
        both > Tally.MAX_TRIALS
            ? null
            : hypergeometric(both, first.successes() + second.successes(), first));
  }

  private static NextQuestion binomial(long n, String p, long value) {
    return NextQuestion.of(AnswerKind.TAIL, "binomial")
        .with("n", n)
        .with("p", p)
        .with("value", value);
  }

  private static NextQuestion hypergeometric(long population, long successes, Tally drawn) {
    return NextQuestion.of(AnswerKind.TAIL, "hypergeometric")
        .with("population", population)
        .with("successes", successes)
        .with("n", drawn.trials())
        .with("value", drawn.successes());
  }

  public static List<Finding> of(PairedTally pairs, List<TestResult> tests) {
    return of(tests, binomial(pairs.discordant(), "50%", pairs.firstOnly()));
  }

  private static List<Finding> of(List<TestResult> tests, @Nullable NextQuestion exact) {
    Map<NextQuestion, List<String>> byTail = new LinkedHashMap<>();
    for (TestResult test : tests) {
      NextQuestion tail = tail(test, exact);
      // An unconditional test rests on no single tail.
      if (tail != null && test.nuisance() == null) {
        byTail.computeIfAbsent(tail, key -> new ArrayList<>()).add(test.method().id());
      }
    }
    return byTail.isEmpty() ? List.of() : List.of(new TailCommands(byTail));
  }

  private static @Nullable NextQuestion tail(TestResult test, @Nullable NextQuestion exact) {
    TestResult.Statistic statistic = test.statistic();
    if (statistic == null || statistic.isCount()) {
      return exact;
    }
    String value = Figures.upTo(statistic.value(), 10);
    return switch (statistic.kind()) {
      case Z -> NextQuestion.of(AnswerKind.TAIL, "normal").with("value", value);
      case G2, X2 ->
          NextQuestion.of(AnswerKind.TAIL, "chi-square").with("df", 1).with("value", value);
      default -> null;
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
                .with("command", entry.getKey().command()));
  }

  @Override
  public List<Block> reading() {
    List<Block> blocks = new ArrayList<>();
    blocks.add(Block.heading("The tails behind the p-values, to look up"));
    methodsByTail.forEach(
        (tail, methods) -> {
          blocks.add(Block.paragraph(String.join(", ", methods) + ":"));
          blocks.add(Block.CommandLine.of(tail));
        });
    return blocks;
  }
}
