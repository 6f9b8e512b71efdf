package dev.tavik.examples.tasks;

import dev.tavik.count.Tally;
import dev.tavik.study.compare.CompareQuestion;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Eight threads ask the same question. */
public final class EightThreads {
  public static String run() throws Exception {
    CompareQuestion question = CompareQuestion.of(Tally.of(14, 400), Tally.of(31, 410));
    return IntStream.range(0, 8)
        .parallel()
        .mapToObj(i -> question.ask().verdict().text())
        .distinct()
        .collect(Collectors.joining("\n"));
  }
}
