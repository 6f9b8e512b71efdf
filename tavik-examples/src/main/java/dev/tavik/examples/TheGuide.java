package dev.tavik.examples;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.chart.Chart;
import dev.tavik.chart.Charts;
import dev.tavik.count.CrossTable;
import dev.tavik.count.DataOverview;
import dev.tavik.count.Tabulation;
import dev.tavik.count.Tally;
import dev.tavik.data.CountRequest;
import dev.tavik.data.DemoFiles;
import dev.tavik.data.SourceOpener;
import dev.tavik.data.Sources;
import dev.tavik.data.study.StudyFile;
import dev.tavik.planning.CompareDesign;
import dev.tavik.planning.SampleSize;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.report.Report;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.study.StudyAnswer;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.rate.RateQuestion;
import dev.tavik.study.sweep.SweepQuestion;
import java.util.Map;

/** The steps of the guide in Java; each page shows its step as it stands. */
public final class TheGuide {
  private TheGuide() {}

  static DataOverview look() {
    DataOverview log = Sources.open("firing-log.csv", DemoFiles::open).overview();
    log.columns().forEach(column -> System.out.println(column.name() + ": " + column.levels()));
    return log;
  }

  static Answer state() {
    Tabulation counts =
        Sources.open("firing-log.csv", DemoFiles::open).count(CountRequest.of("grade", "kiln"));
    Tally scrap = counts.tally("grade", "cracked", "warped");
    Answer asked = RateQuestion.of(scrap, 0.08).alternative(Alternative.GREATER).ask();
    return asked;
  }

  static Answer check() {
    Answer glaze = RateQuestion.of(Tally.of(2, 30), 0.05).named("New ash glaze cracks").ask();
    glaze.conditions().forEach(each -> System.out.println(each.name() + ": " + each.state()));
    glaze.cautions().forEach(each -> System.out.println(each.code().id()));
    return glaze;
  }

  static String testAndEstimate() {
    CompareQuestion kilns =
        CompareQuestion.of(Tally.of(14, 400), Tally.of(31, 410)).groups("North", "South");
    Answer all = kilns.tests(TwoProportionTest.values()).ask();
    double fisher = all.test(TwoProportionTest.FISHER).pValue();

    Interval wilson = ProportionInterval.WILSON.of(Tally.of(14, 400), 0.95);
    Interval mee = all.interval(ComparisonInterval.DIFFERENCE_MEE);
    String points = 100 * mee.lower() + " to " + 100 * mee.upper() + " percentage points";
    return fisher + "; " + wilson.lower() + "; " + points;
  }

  static int picture(Answer all) {
    byte[] svg = Chart.INTERVALS.of(all).svg();
    byte[] large = Chart.INTERVALS.of(all).sized(1200, 700).png();
    return svg.length + large.length;
  }

  static String conclude(SourceOpener demo) {
    StudyAnswer study = StudyFile.of("kiln-acceptance.yaml", demo).read().ask();
    study.decisions().forEach(each -> System.out.println(each.label() + ": " + each.survives()));
    String page = Report.HTML.of(study, Detail.EVERY_ROW, Charts::main);
    return page;
  }

  static long plan() {
    CompareDesign design =
        CompareDesign.of(TwoProportionTest.Z_POOLED, 0.08, Hypothesis.noDifference(), 0.05);
    long tiles = SampleSize.of(design, 0.05, 0.8).sizes().first();
    return tiles;
  }

  static Answer sweep(Tabulation counts) {
    CrossTable table = counts.crossTable("kiln", "grade");
    Answer swept = SweepQuestion.of("kiln", Map.of("grade", table)).ask();
    return swept;
  }
}
