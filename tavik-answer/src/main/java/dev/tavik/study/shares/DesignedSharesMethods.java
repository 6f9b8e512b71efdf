package dev.tavik.study.shares;

import dev.tavik.answer.NotApplicable;
import dev.tavik.count.SurveyCounts;
import dev.tavik.result.Estimand;
import dev.tavik.result.Interval;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.DesignTests;
import dev.tavik.study.parts.Holm;
import dev.tavik.survey.DesignedProportion;
import dev.tavik.survey.DesignedSample;
import dev.tavik.survey.SurveyInterval;
import dev.tavik.survey.SurveyTableTest;
import java.util.ArrayList;
import java.util.List;

/** Makes tests and intervals of shares of a designed sample. */
final class DesignedSharesMethods {
  private final SharesQuestion question;
  private final SharesSettings settings;
  private final DesignedSample sample;
  private final List<DesignedProportion> shares;

  DesignedSharesMethods(SharesQuestion question, SurveyCounts counts) {
    this.question = question;
    this.settings = question.settings();
    this.sample = DesignedSample.of(counts);
    this.shares = sample.shares(0, question.levels());
  }

  SharesFound found() {
    SharesAsked asked = new SharesAsked(question);
    List<Double> claimed = asked.categories().mapToObj(question.claimed()::share).toList();
    DesignTests tests =
        DesignTests.of(
            sample.deviation(0, question.levels(), claimed),
            settings.tests().stream().map(SurveyTableTest.class::cast).toList());
    DesignedShares data = new DesignedShares(question, new DesignFindings(sample), shares, tests);
    return new SharesFound(
        asked,
        data,
        tests.decided() ? tests.made() : List.of(),
        tests.refusals(),
        settings.intervals().stream().map(each -> limits((SurveyInterval) each)).toList(),
        Holm.ofT(asked.categories().mapToObj(data::residual).toList(), tests.deviation().df()),
        tests.preference((SurveyInterval) settings.intervals().get(0)));
  }

  /** Where a method has no limits, those of Korn and Graubard stand in their place. */
  private SharesFound.Limits limits(SurveyInterval method) {
    List<Interval> each = new ArrayList<>();
    List<NotApplicable> refused = new ArrayList<>();
    for (DesignedProportion share : shares) {
      Interval limits = DesignFindings.limits(method, share, settings.level(), refused::add);
      each.add(
          new Interval(
              Estimand.SHARE,
              limits.method(),
              limits.level(),
              limits.side(),
              limits.lower(),
              limits.upper()));
    }
    return new SharesFound.Limits(method, /* together= */ false, each, refused);
  }
}
