package dev.tavik.study.shares;

import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Finding;
import dev.tavik.answer.NextQuestion;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.phrase.DesignCautions;
import dev.tavik.phrase.ShareVerdicts;
import dev.tavik.phrase.TestCautions;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.DesignTests;
import dev.tavik.study.parts.DesignedData;
import dev.tavik.study.parts.Undecided;
import dev.tavik.survey.DesignedProportion;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Shares of a designed sample.
 *
 * @param question the question about them
 * @param design the design of the sample
 * @param shares what is estimated of each category
 * @param tests the tests
 */
record DesignedShares(
    SharesQuestion question,
    DesignFindings design,
    List<DesignedProportion> shares,
    DesignTests tests)
    implements SharesData, DesignedData {

  private String level(int category) {
    return question.levels().get(category);
  }

  @Override
  public double share(int category) {
    return shares.get(category).value();
  }

  @Override
  public double residual(int category) {
    double error = shares.get(category).standardError();
    return error > 0 ? (share(category) - question.claimed().share(category)) / error : Double.NaN;
  }

  @Override
  public Value figures(int category) {
    return DesignFindings.figures(shares.get(category));
  }

  @Override
  public List<Estimate> estimates() {
    return IntStream.range(0, shares.size())
        .mapToObj(
            i -> new Estimate(Estimand.SHARE, level(i), share(i), shares.get(i).standardError()))
        .toList();
  }

  @Override
  public List<Finding> observed(SharesFound found) {
    Sheet sheet =
        Sheet.read(
            "Estimated against claimed, standard error in points, design effect",
            Column.words(),
            Column.counts("rows"),
            Column.numbers("share"),
            Column.numbers("claimed"),
            Column.numbers("error"),
            Column.numbers("effect"),
            Column.numbers("residual"),
            Column.numbers("Holm p"));
    for (int i = 0; i < shares.size(); i++) {
      DesignedProportion share = shares.get(i);
      sheet.row(
          level(i),
          new Value.Count(share.successes()),
          Value.Share.FINE.of(share.value()),
          Value.Share.FINE.of(question.claimed().share(i)),
          Value.points(share.standardError()),
          DesignFindings.effect(share),
          Double.isNaN(residual(i)) ? Value.none("none") : Value.significant(residual(i), 3),
          Value.p(found.standingOut().get(i).log10PValue()));
    }
    return List.of(sheet);
  }

  @Override
  public Tests tests(String heading, SharesFound found) {
    return tests.finding(heading, question.settings().alpha());
  }

  @Override
  public List<Finding> beside(SharesFound found) {
    return tests.effects();
  }

  @Override
  public List<Finding> last(SharesFound found) {
    List<Finding> findings = new ArrayList<>();
    if (!tests.decided()) {
      findings.add(Undecided.finding());
    }
    findings.addAll(
        tests.planned(
            NextQuestion.of(AnswerKind.PLAN, "shares").with("categories", shares.size())));
    return findings;
  }

  @Override
  public boolean weighted() {
    return true;
  }

  @Override
  public String departure(int category) {
    return ShareVerdicts.estimated(
        level(category), share(category), question.claimed().share(category));
  }

  @Override
  public List<Condition> conditions() {
    return design.conditions();
  }

  @Override
  public List<Caution> grave(SharesFound found) {
    return tests.decided() ? List.of() : List.of(DesignCautions.undecided("The shares"));
  }

  @Override
  public List<Caution> further(SharesFound found) {
    List<Caution> cautions = new ArrayList<>();
    cautions.add(TestCautions.oneAtATime(/* wilson= */ false));
    int rarest =
        IntStream.range(0, shares.size())
            .reduce((a, b) -> share(b) < share(a) ? b : a)
            .orElseThrow();
    String level = level(rarest);
    cautions.addAll(design.cautions(unit -> unit.get(0).equals(level), level, question.from()));
    return cautions;
  }
}
