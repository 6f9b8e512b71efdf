package dev.tavik.study.simulated;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Question;
import dev.tavik.answer.SimulationFinding;
import dev.tavik.answer.SubAnswers;
import dev.tavik.association.SharesTest;
import dev.tavik.association.TableTest;
import dev.tavik.count.CategoryCounts;
import dev.tavik.count.CrossTable;
import dev.tavik.count.NamedTally;
import dev.tavik.count.Tally;
import dev.tavik.phrase.RefusalPhrases;
import dev.tavik.proportion.FinitePopulationTest;
import dev.tavik.proportion.PairedTest;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.ComparisonGoal;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.TestResult;
import dev.tavik.simulation.Bootstrap;
import dev.tavik.simulation.Draws;
import dev.tavik.simulation.NullWorld;
import dev.tavik.simulation.SimulatedTail;
import dev.tavik.simulation.Simulation;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.compare.CompareSettings;
import dev.tavik.study.cross.CrossQuestion;
import dev.tavik.study.paired.PairedQuestion;
import dev.tavik.study.rate.RateQuestion;
import dev.tavik.study.rate.RateSettings;
import dev.tavik.study.shares.SharesQuestion;
import dev.tavik.study.simulated.SimulatedQuestion.NullModel;
import dev.tavik.study.simulated.SimulatedQuestion.Stop;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** Draws the worlds that belong to an answer. */
record SimulationAnalysis(SimulatedQuestion asked) {
  /**
   * Time limit in seconds for an exact test that wasn't asked for; beyond it no formula is shown.
   */
  private static final double BRIEFLY = 0.5;

  /** Returns an answer with the simulated view beside it, and beside each of its parts. */
  Answer beside(Answer answer) {
    try {
      if (answer.find(SubAnswers.class).isEmpty()) {
        return answer.with(view("", answer, 0));
      }
      return answer.withFindings(
          answer.findings().stream()
              .map(finding -> finding instanceof SubAnswers parts ? beside(parts) : finding)
              .toList());
    } catch (NotApplicableException e) {
      throw new IllegalArgumentException("the simulated view " + RefusalPhrases.of(e), e);
    }
  }

  private SubAnswers beside(SubAnswers parts) {
    List<Answer> answers = new ArrayList<>();
    for (int i = 0; i < parts.answers().size(); i++) {
      Answer part = parts.answers().get(i);
      answers.add(part.with(view(parts.names().get(i), part, i)));
    }
    return new SubAnswers(parts.key(), parts.names(), answers);
  }

  private SimulationFinding view(String label, Answer answer, int number) {
    Method preferred = answer.verdict().test().orElse(TableTest.PEARSON);
    Question question = answer.question();
    View view = VIEWS.get(question.getClass());
    if (view == null) {
      throw unseen();
    }
    return view.of(this, label, answer, new Wanted(preferred, number));
  }

  private static IllegalArgumentException unseen() {
    return new IllegalArgumentException(
        "such a question has no simulated view; rates, two groups, pairs, shares and one table of"
            + " simple random samples have");
  }

  /** The test that the verdict rests on, and the number of the answer among several. */
  private record Wanted(Method test, int number) {}

  /** How the view of a kind of question is made. */
  private interface View {
    SimulationFinding of(SimulationAnalysis of, String label, Answer answer, Wanted wanted);
  }

  private static final Map<Class<?>, View> VIEWS =
      Map.of(
          RateQuestion.class,
          (of, label, answer, wanted) ->
              of.view(label, (RateQuestion) answer.question(), wanted.test(), wanted.number()),
          CompareQuestion.class,
          (of, label, answer, wanted) ->
              of.view(label, (CompareQuestion) answer.question(), wanted.test(), wanted.number()),
          PairedQuestion.class,
          (of, label, answer, wanted) -> of.view((PairedQuestion) answer.question(), wanted.test()),
          SharesQuestion.class,
          (of, label, answer, wanted) -> of.view((SharesQuestion) answer.question(), wanted.test()),
          CrossQuestion.class,
          (of, label, answer, wanted) ->
              of.view((CrossQuestion) answer.question(), answer, wanted.test()));

  private Draws draws(int number) {
    return Draws.of(asked.draws().most(), asked.draws().seed() + number);
  }

  private Simulation draw(NullWorld world, double alpha, int number) {
    Draws draws = draws(number);
    return world.simulate(asked.stop() == Stop.WHEN_CLEAR ? draws.untilClearOf(alpha) : draws);
  }

  private static SimulationFinding view(
      String label,
      Simulation simulation,
      List<Interval> bootstrap,
      Method preferred,
      Function<Method, TestResult> test) {
    List<Method> methods = simulation.tails().stream().map(SimulatedTail::method).toList();
    List<Double> formulas = methods.stream().map(method -> formula(method, test)).toList();
    int wanted = Math.max(0, methods.indexOf(preferred));
    return new SimulationFinding(label, simulation, formulas, bootstrap, wanted);
  }

  private static double formula(Method method, Function<Method, TestResult> test) {
    try {
      return test.apply(method).log10PValue();
    } catch (NotApplicableException | ArithmeticException e) {
      return Double.NaN;
    }
  }

  private SimulationFinding view(String label, RateQuestion rate, Method preferred, int number) {
    RateSettings settings = rate.settings();
    Tally tally = rate.tally().orElseThrow(SimulationAnalysis::unseen);
    Long lot = settings.lot();
    NullWorld world =
        lot == null
            ? NullWorld.ofRate(tally, settings.hypothesis())
            : NullWorld.ofLot(tally, lot, settings.hypothesis());
    return view(
        label,
        draw(world, settings.alpha(), number),
        lot == null ? Bootstrap.ofRate(tally, settings.level(), draws(number)) : List.of(),
        preferred,
        method -> {
          ProportionTest test = ((ProportionTest) method);
          return lot == null
              ? test.of(tally, settings.hypothesis())
              : FinitePopulationTest.inLot(test).of(tally, lot, settings.hypothesis());
        });
  }

  private SimulationFinding view(
      String label, CompareQuestion comparison, Method preferred, int number) {
    CompareSettings settings = comparison.settings();
    List<NamedTally> groups = comparison.tallies();
    if (groups.isEmpty()) {
      throw unseen();
    }
    require(
        settings.plain(),
        "the simulated view is of no difference at all; leave %s out, or simulate",
        settings.claim().goal() == ComparisonGoal.DIFFERENCE ? "against" : "show");
    Tally first = groups.get(0).tally();
    Tally second = groups.get(1).tally();
    Alternative alternative = settings.hypothesis().alternative();
    NullWorld world =
        asked.nullModel() == NullModel.SHUFFLE
            ? NullWorld.shuffled(first, second, alternative)
            : NullWorld.pooled(first, second, alternative);
    return view(
        label,
        draw(world, settings.alpha(), number),
        Bootstrap.ofComparison(first, second, settings.level(), draws(number)),
        preferred,
        method -> ((TwoProportionTest) method).of(first, second, settings.hypothesis()));
  }

  private SimulationFinding view(PairedQuestion paired, Method preferred) {
    return view(
        "",
        draw(
            NullWorld.signFlips(paired.tally(), paired.settings().alternative()),
            paired.settings().alpha(),
            0),
        List.of(),
        preferred,
        method -> ((PairedTest) method).of(paired.tally(), paired.settings().alternative()));
  }

  private SimulationFinding view(SharesQuestion shares, Method preferred) {
    CategoryCounts counts = shares.counts().orElseThrow(SimulationAnalysis::unseen);
    return view(
        "",
        draw(NullWorld.ofShares(counts, shares.claimed()), shares.settings().alpha(), 0),
        List.of(),
        preferred,
        method -> ((SharesTest) method).of(counts, shares.claimed()));
  }

  private SimulationFinding view(CrossQuestion cross, Answer answer, Method preferred) {
    CrossTable table = cross.table().orElseThrow(SimulationAnalysis::unseen);
    return view(
        "",
        draw(NullWorld.ofTable(table), cross.settings().alpha(), 0),
        Bootstrap.ofTable(table, cross.settings().level(), draws(0)),
        preferred,
        method ->
            answer.tests().stream()
                .filter(test -> test.method() == method)
                .findFirst()
                .orElseGet(
                    () ->
                        ((TableTest) method)
                            .of(table, cross.settings().options().budget(BRIEFLY))));
  }
}
