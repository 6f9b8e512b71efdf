package dev.tavik.answer;

import dev.tavik.plot.Plot;
import dev.tavik.result.Derivation;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import java.util.ArrayList;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Holds what was found when a question was asked; it is immutable. Sentences are created when they
 * are first read, so that a caller who wants a p-value doesn't wait for them.
 */
public final class Answer {
  private final Question question;
  private final String kind;
  private final String label;
  private final List<TestResult> madeTests;
  private final List<Interval> madeIntervals;
  private final Supplier<Content> content;

  /** What readers see. */
  record Content(
      Verdict verdict,
      List<Condition> conditions,
      List<Caution> cautions,
      List<Finding> findings) {}

  Answer(
      Question question,
      String kind,
      String label,
      List<TestResult> madeTests,
      List<Interval> madeIntervals,
      Supplier<Content> content) {
    this.question = question;
    this.kind = kind;
    this.label = label;
    this.madeTests = List.copyOf(madeTests);
    this.madeIntervals = List.copyOf(madeIntervals);
    this.content = content;
  }

  /**
   * Begins an answer.
   *
   * @param question the question
   * @param kind the kind of question
   * @param label the analyst's own name for it; empty for none
   * @return the builder
   */
  public static AnswerBuilder to(Question question, AnswerKind kind, String label) {
    return new AnswerBuilder(question, kind.id(), label);
  }

  /**
   * Begins what stands in the place of an answer.
   *
   * @param question the question
   * @param kind the kind of question as it was written, which may be none
   * @param label the analyst's own name for it; empty for none
   * @return the builder
   */
  public static AnswerBuilder unanswered(Question question, String kind, String label) {
    return new AnswerBuilder(question, kind, label);
  }

  /**
   * {@return this answer with a finding more at its end}
   *
   * @param finding the finding
   */
  public Answer with(Finding finding) {
    List<Finding> more = new ArrayList<>(findings());
    more.add(finding);
    return withFindings(more);
  }

  /**
   * {@return this answer with other findings}
   *
   * @param others those others
   */
  public Answer withFindings(List<Finding> others) {
    return unanswered(question, kind, label)
        .addAll(others)
        .conditions(conditions())
        .cautions(cautions())
        .concluded(verdict());
  }

  /**
   * {@return this answer with another verdict, as of a test that is adjusted over several}
   *
   * @param other that other
   */
  public Answer concluding(Verdict other) {
    return unanswered(question, kind, label)
        .addAll(findings())
        .conditions(conditions())
        .cautions(cautions())
        .concluded(other);
  }

  /** {@return this answer as a part of another, which warns for all of its parts} */
  public Answer withoutCautions() {
    return unanswered(question, kind, label)
        .addAll(findings())
        .conditions(conditions())
        .concluded(verdict());
  }

  /**
   * {@return what is left of this answer once it is written: what was decided and whether it could
   * have been decided otherwise} Thousands of such are held in little memory.
   */
  public Answer decided() {
    AnswerBuilder brief = unanswered(question, kind, label);
    all(Failure.class).forEach(brief::add);
    for (SubAnswers each : findAll(SubAnswers.class)) {
      List<Answer> parts = each.answers().stream().map(Answer::decided).toList();
      brief.add(new SubAnswers(each.key(), each.names(), parts));
    }
    // An answer with parts is decided by them and has no test of its own.
    find(Tests.class)
        .filter(tests -> find(SubAnswers.class).isEmpty() && verdict().test().isPresent())
        .ifPresent(tests -> brief.add(Tests.of("", tests.alpha()).made(test(), Value.none())));
    find(Decidable.class)
        .ifPresent(
            each -> {
              boolean possible = each.possible();
              brief.add(Decidable.of(() -> possible));
            });
    return brief.concluded(verdict());
  }

  /** What readers see, which is made when it is first asked for. */
  Content content() {
    return content.get();
  }

  /** {@return the question} */
  public Question question() {
    return question;
  }

  /** {@return the word for such questions, such as {@code compare}} */
  public String kind() {
    return kind;
  }

  /** {@return the analyst's own name for the question; empty for none} */
  public String label() {
    return label;
  }

  /** {@return what was found in one sentence, and what that rests on} */
  public Verdict verdict() {
    return content.get().verdict();
  }

  /** {@return the assumptions of the answer} */
  public List<Condition> conditions() {
    return content.get().conditions();
  }

  /** {@return the cautions} */
  public List<Caution> cautions() {
    return content.get().cautions();
  }

  /** {@return what was found, in the order in which a reader wants it} */
  public List<Finding> findings() {
    return content.get().findings();
  }

  /**
   * {@return the first finding of a type; one whose figures machines see before one for readers}
   *
   * @param type such as {@code Posterior.class}
   * @param <F> that type
   */
  public <F extends Finding> Optional<F> find(Class<F> type) {
    return all(type).filter(each -> !each.key().isEmpty()).findFirst().or(all(type)::findFirst);
  }

  /**
   * {@return all findings of a type, in order}
   *
   * @param type such as {@code Tests.class}
   * @param <F> that type
   */
  public <F extends Finding> List<F> findAll(Class<F> type) {
    return all(type).toList();
  }

  private <F extends Finding> Stream<F> all(Class<F> type) {
    return findings().stream()
        .map(each -> each instanceof AtDepth deep ? deep.finding() : each)
        .filter(type::isInstance)
        .map(type::cast);
  }

  /** {@return all tests that were made; of two one-sided ones that with the larger p-value} */
  public List<TestResult> tests() {
    if (!madeTests.isEmpty()) {
      return madeTests;
    }
    return all(Tests.class)
        .filter(each -> !each.key().isEmpty() && !each.directed())
        .flatMap(each -> each.results().stream())
        .toList();
  }

  /**
   * {@return a test}
   *
   * @param method the test
   * @throws NoSuchElementException if it was not made
   */
  public TestResult test(Method method) {
    return tests().stream()
        .filter(each -> each.method() == method)
        .findFirst()
        .orElseThrow(
            () -> none("test " + method.id(), tests().stream().map(each -> each.method().id())));
  }

  /**
   * {@return the test that the verdict rests on}
   *
   * @throws NoSuchElementException if it rests on none
   */
  public TestResult test() {
    return test(
        verdict().test().orElseThrow(() -> none("verdict that rests on a test", Stream.of())));
  }

  /** {@return the calculations by hand; empty where there are none} */
  public List<Derivation> working() {
    return find(Workings.class).map(Workings::all).orElse(List.of());
  }

  /** {@return all intervals and bounds} */
  public List<Interval> intervals() {
    return all(Intervals.class)
        .filter(each -> !each.key().isEmpty())
        .flatMap(each -> each.all().stream())
        .toList();
  }

  /**
   * {@return the intervals of one method, of shares one a category}
   *
   * @param method the interval
   */
  public List<Interval> intervals(Method method) {
    return intervals().stream().filter(each -> each.method() == method).toList();
  }

  /**
   * {@return an interval; with a direction the two-sided one, see {@link #interval(Method, Side)}}
   *
   * @param method the interval
   * @throws NoSuchElementException if it was not made
   */
  public Interval interval(Method method) {
    return interval(method, Side.TWO_SIDED);
  }

  /**
   * {@return an interval or a bound}
   *
   * @param method the interval
   * @param side its side
   * @throws NoSuchElementException if it was not made
   */
  public Interval interval(Method method, Side side) {
    return first(madeIntervals, method, side)
        .or(() -> first(intervals(), method, side))
        .orElseThrow(
            () ->
                none(
                    side.id() + " interval " + method.id(),
                    intervals().stream().map(each -> each.method().id()).distinct()));
  }

  private static Optional<Interval> first(List<Interval> all, Method method, Side side) {
    return all.stream().filter(each -> each.method() == method && each.side() == side).findFirst();
  }

  /** {@return all estimates} */
  public List<Estimate> estimates() {
    return all(Estimates.class).flatMap(each -> each.all().stream()).toList();
  }

  /**
   * {@return the first estimate of a quantity}
   *
   * @param quantity the quantity
   * @throws NoSuchElementException if it was not estimated
   */
  public Estimate estimate(Estimand quantity) {
    return estimates().stream()
        .filter(each -> each.quantity() == quantity)
        .findFirst()
        .orElseThrow(
            () ->
                none(
                    "estimate of " + quantity.id(),
                    estimates().stream().map(each -> each.quantity().id()).distinct()));
  }

  /** {@return the methods that declined, each with its reason} */
  public List<NotApplicable> refusals() {
    return Stream.concat(
            all(Tests.class).flatMap(each -> each.refusals().stream()),
            all(Intervals.class).flatMap(each -> each.refusals().stream()))
        .toList();
  }

  /** {@return the answers that make up this one: of groups, of pairs} */
  public List<Answer> parts() {
    return all(SubAnswers.class).flatMap(each -> each.answers().stream()).toList();
  }

  /**
   * {@return what a picture of this answer shows; empty where such questions have no such picture}
   *
   * @param kind the kind of picture, such as {@code IntervalPlot.class}
   * @param <P> that kind
   * @throws IllegalArgumentException if this answer has nothing of the kind to draw
   */
  public <P extends Plot> Optional<P> plot(Class<P> kind) {
    return question.plots(this).find(kind);
  }

  /**
   * {@return curves of this answer; empty where it has none of the kind}
   *
   * @param kind what they are of
   * @throws IllegalArgumentException if this answer has nothing of the kind to draw
   */
  public Optional<Curves.Plot> curves(Curves.Kind kind) {
    return all(Curves.class).filter(each -> each.kind() == kind).findFirst().map(Curves::plot);
  }

  private static NoSuchElementException none(String wanted, Stream<String> there) {
    return new NoSuchElementException(
        "this answer has no " + wanted + there.collect(Collectors.joining(", ", "; it has: ", "")));
  }

  /**
   * {@return all figures for machines, under keys in order}
   *
   * @param detail {@link Detail#WORKING} for the working by hand too
   */
  public Value.Fields figures(Detail detail) {
    return Tree.of(this, detail);
  }

  /**
   * {@return what a reader sees, in order}
   *
   * @param detail how much of it
   */
  public List<Block> reading(Detail detail) {
    return new Page(this, detail).blocks();
  }

  /** {@return the working by hand as a reader sees it, in order; nothing where there is none} */
  public List<Block> workingReading() {
    boolean any =
        Stream.concat(Stream.of(this), parts().stream())
            .anyMatch(each -> !each.working().isEmpty());
    return any ? new Page(this, Detail.WORKING).working() : List.of();
  }

  /** {@return the methods that were used or declined, of its parts too, each once} */
  public List<Method> methods() {
    return Stream.concat(Stream.of(this), parts().stream())
        .flatMap(
            each ->
                Stream.of(
                        each.all(Tests.class)
                            .flatMap(tests -> tests.results().stream())
                            .map(TestResult::method),
                        each.all(Intervals.class)
                            .flatMap(all -> all.all().stream())
                            .map(Interval::method),
                        each.refusals().stream().map(NotApplicable::method))
                    .flatMap(methods -> methods))
        .distinct()
        .toList();
  }

  @Override
  public String toString() {
    return verdict().text();
  }
}
