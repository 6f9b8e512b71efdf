package dev.tavik.study.shares;

import dev.tavik.answer.Answer;
import dev.tavik.answer.NotApplicable;
import dev.tavik.result.Estimand;
import dev.tavik.result.Interval;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.DesignTests;
import dev.tavik.study.parts.Holm;
import dev.tavik.survey.DesignedProportion;
import dev.tavik.survey.DesignedSample;
import dev.tavik.survey.SurveyInterval;
import java.util.ArrayList;
import java.util.List;

/** Makes tests and intervals of shares of a designed sample. */
final class SurveySharesAnalysis {
  private final SurveySharesQuestion question;
  private final SharesAsked asked;
  private final DesignedSample sample;
  private final List<DesignedProportion> shares;

  SurveySharesAnalysis(SurveySharesQuestion question) {
    this.question = question;
    this.asked =
        new SharesAsked(
            question,
            question.label(),
            question.levels(),
            question.claimed(),
            question,
            question.from());
    this.sample = DesignedSample.of(question.counts());
    this.shares = sample.shares(0, question.levels());
  }

  Answer answer() {
    List<Double> claimed = asked.categories().mapToObj(question.claimed()::share).toList();
    DesignTests tests =
        DesignTests.of(sample.deviation(0, question.levels(), claimed), question.tests());
    DesignedShares data = new DesignedShares(question, new DesignFindings(sample), shares, tests);
    SharesFound found =
        new SharesFound(
            asked,
            data,
            tests.decided() ? tests.made() : List.of(),
            tests.refusals(),
            question.intervals().stream().map(this::limits).toList(),
            Holm.ofT(asked.categories().mapToObj(data::residual).toList(), tests.deviation().df()),
            tests.preference(question.intervals().get(0)));
    return new SharesFindings(found).answer();
  }

  /** Where a method has no limits, those of Korn and Graubard stand in their place. */
  private SharesFound.Limits limits(SurveyInterval method) {
    List<Interval> each = new ArrayList<>();
    List<NotApplicable> refused = new ArrayList<>();
    for (DesignedProportion share : shares) {
      Interval limits = DesignFindings.limits(method, share, question.level(), refused::add);
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
