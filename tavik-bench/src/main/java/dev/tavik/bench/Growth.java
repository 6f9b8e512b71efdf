package dev.tavik.bench;

import dev.tavik.answer.Detail;
import dev.tavik.association.Shares;
import dev.tavik.count.CategoryCounts;
import dev.tavik.count.NamedTally;
import dev.tavik.count.Tally;
import dev.tavik.data.study.StudyFile;
import dev.tavik.report.Report;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.compare.CompareSettings;
import dev.tavik.study.cross.CrossQuestion;
import dev.tavik.study.shares.SharesQuestion;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import java.util.stream.LongStream;

/**
 * How the time of a whole question, asked and written as text, grows with its size: twice the size
 * takes 2 to the power shown as long, 1 for in proportion.
 */
final class Growth {
  private static final int DOUBLINGS = 2;

  private Growth() {}

  static void print() {
    System.out.printf("%n%-46s %10s %10s %7s %9s%n", "growth", "at n", "at 4 n", "power", "before");
    line("levels of shares, 750", 750, Growth::shares, "8.9 s, 3000");
    line("rows of a table of ten columns, 50", 50, Growth::table, "19 s, 200");
    line("groups compared, all pairs, 12", 12, Growth::groups, "");
    line("questions of a study, 500", 500, Growth::study, "");
  }

  private static void line(String name, int size, IntFunction<Integer> work, String before) {
    double small = SideBySide.of(null, i -> work.apply(size), false).tavik();
    double large = SideBySide.of(null, i -> work.apply(4 * size), false).tavik();
    System.out.printf(
        Locale.ROOT,
        "%-46s %10s %10s %7.2f %9s%n",
        name,
        Speed.time(small),
        Speed.time(large),
        Math.log(large / small) / Math.log(2) / DOUBLINGS,
        before);
  }

  private static int shares(int levels) {
    CategoryCounts counts =
        CategoryCounts.of(
            TableWork.names(levels),
            LongStream.range(0, levels).map(i -> 20 + i % 7).boxed().toList());
    return Report.TEXT.of(SharesQuestion.of(counts, Shares.equal(levels)).ask()).length();
  }

  private static int table(int rows) {
    return Report.TEXT
        .of(CrossQuestion.of(TableWork.random(rows, 10, 400 * rows, 3)).ask())
        .length();
  }

  private static int groups(int groups) {
    List<NamedTally> tallies = new ArrayList<>();
    IntStream.range(0, groups)
        .forEach(i -> tallies.add(new NamedTally("Kiln " + i, Tally.of(14 + i % 5, 400))));
    return Report.TEXT.of(CompareQuestion.of(tallies, CompareSettings.usual()).ask()).length();
  }

  private static int study(int questions) {
    StringBuilder study = new StringBuilder("study: many\nquestions:\n");
    for (int i = 0; i < questions; i++) {
      study.append("  - {ask: rate, tally: ").append(10 + i % 9).append("/400, against: 5%}\n");
    }
    byte[] bytes = study.toString().getBytes(StandardCharsets.UTF_8);
    return Report.JSON
        .of(
            StudyFile.of("study.yaml", name -> new ByteArrayInputStream(bytes)).read().ask(),
            Detail.FINDINGS)
        .length();
  }
}
