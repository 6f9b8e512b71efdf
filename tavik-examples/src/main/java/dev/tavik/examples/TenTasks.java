package dev.tavik.examples;

import dev.tavik.answer.Answer;
import dev.tavik.association.Shares;
import dev.tavik.association.TableTest;
import dev.tavik.chart.Chart;
import dev.tavik.chart.Charts;
import dev.tavik.count.CategoryCounts;
import dev.tavik.count.CrossTable;
import dev.tavik.count.NamedTally;
import dev.tavik.count.PairedTally;
import dev.tavik.count.Tabulation;
import dev.tavik.count.Tally;
import dev.tavik.data.CountRequest;
import dev.tavik.data.DemoFiles;
import dev.tavik.data.Sources;
import dev.tavik.planning.RateDesign;
import dev.tavik.planning.SampleSize;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.report.Report;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import dev.tavik.simulation.Draws;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.cross.CrossQuestion;
import dev.tavik.study.paired.PairedQuestion;
import dev.tavik.study.rate.RateQuestion;
import dev.tavik.study.shares.SharesQuestion;
import dev.tavik.study.simulated.SimulatedQuestion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;

/** Ten tasks in Java, from a column of a file to a report; the guide shows each as it stands. */
public final class TenTasks {
  private TenTasks() {}

  static Tabulation count() {
    Tabulation counts =
        Sources.open("firing-log.csv", DemoFiles::open)
            .count(CountRequest.of("grade", "kiln").where("shift", "early"));
    return counts;
  }

  static Answer rate(Tabulation counts) {
    Tally cracked = counts.tally("grade", "cracked");
    Answer answer =
        RateQuestion.of(cracked, 0.08).named("Cracked tiles").alternative(Alternative.LESS).ask();
    return answer;
  }

  static Answer compare(Tabulation counts) {
    List<NamedTally> kilns = counts.tallies("grade", Set.of("cracked"), "kiln");
    Answer answer =
        CompareQuestion.of(kilns.get(0), kilns.get(1))
            .named("Cracked tiles")
            .tests(TwoProportionTest.FISHER)
            .ask();
    return answer;
  }

  static String read(Answer answer) {
    TestResult fisher = answer.test(TwoProportionTest.FISHER);
    Interval mee = answer.interval(ComparisonInterval.DIFFERENCE_MEE);
    String line = fisher.pValue() + ": " + mee.lower() + " to " + mee.upper();
    return line;
  }

  static Answer pairs() {
    Tabulation judged =
        Sources.open("regrade.csv", DemoFiles::open)
            .count(CountRequest.of("first_inspector", "second_inspector"));
    PairedTally pairs = judged.pairs("first_inspector", "second_inspector", "cracked");
    Answer answer = PairedQuestion.of(pairs).groups("Ann", "Ben").named("Called cracked").ask();
    return answer;
  }

  static Answer shares(Tabulation counts) {
    CategoryCounts kilns = counts.categories("kiln");
    Answer answer = SharesQuestion.of(kilns, Shares.ratio(1, 1, 1)).named("Kilns").ask();
    return answer;
  }

  static Answer cross(Tabulation counts) {
    CrossTable table = counts.crossTable("kiln", "grade");
    Answer answer = CrossQuestion.of(table).tests(TableTest.PEARSON).alpha(0.01).ask();
    return answer;
  }

  static Answer otherViews(Tabulation counts) {
    RateQuestion question =
        RateQuestion.of(counts.tally("grade", "cracked"), 0.08).bayes(BayesSettings.usual());
    Answer answer = SimulatedQuestion.of(question, Draws.of(10_000, 7)).ask();
    return answer;
  }

  static long plan() {
    RateDesign design = RateDesign.of(ProportionTest.SCORE, Hypothesis.less(0.08), 0.05);
    long tiles = SampleSize.of(design, 0.05, 0.9).sizes().first();
    return tiles;
  }

  static void report(Answer answer, Path folder) throws IOException {
    String page = Report.HTML.of(answer, Charts.of(answer));
    Files.writeString(folder.resolve("answer.html"), page);
    Files.writeString(folder.resolve("answer.json"), Report.JSON.of(answer));
    Files.write(folder.resolve("answer.svg"), Chart.main(answer).of(answer).svg());
  }
}
