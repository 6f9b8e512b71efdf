package dev.tavik.data.study;

import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Origin;
import dev.tavik.answer.Question;
import dev.tavik.count.DataOverview;
import dev.tavik.data.CountSource;
import dev.tavik.data.DataException;
import dev.tavik.data.SourceOpener;
import dev.tavik.data.words.CommandSchema;
import dev.tavik.data.words.CommandSchemas;
import java.util.Arrays;
import java.util.Optional;
import java.util.function.BiFunction;

/** The kinds of questions: their parameters, and how they are created from them. */
public enum QuestionKind {
  /** Is one proportion different from a value? */
  RATE(AnswerKind.RATE, RateSpec::question),
  /** Do two proportions differ, and by how much? */
  COMPARE(AnswerKind.COMPARE, CompareSpec::question),
  /** Do the counts follow the claimed shares? */
  SHARES(AnswerKind.SHARES, SharesSpec::question),
  /** Are two classifications associated? */
  CROSS(AnswerKind.CROSS, CrossSpec::question),
  /** How many, how much power, how small an effect? */
  PLAN(AnswerKind.PLAN, PlanSpec::question),
  /** A probability or a critical value of a distribution. */
  TAIL(AnswerKind.TAIL, TailSpec::question),
  /** Which columns differ between groups? */
  SWEEP(AnswerKind.SWEEP, SweepSpec::question),
  /** How do methods behave at this size? */
  ASSESS(AnswerKind.ASSESS, AssessSpec::question);

  private final AnswerKind answers;
  private final CommandSchema words;
  private final BiFunction<QuestionArguments, SourceOpener, Question> maker;

  QuestionKind(AnswerKind answers, BiFunction<QuestionArguments, SourceOpener, Question> maker) {
    this.answers = answers;
    this.words = CommandSchemas.of(answers.id());
    this.maker = maker;
  }

  /** {@return the kind of their answers} */
  public AnswerKind answers() {
    return answers;
  }

  /** {@return the words of such questions} */
  public CommandSchema words() {
    return words;
  }

  /**
   * Makes a question.
   *
   * @param spec its words
   * @param opening how files are opened
   * @return the question
   * @throws SpecException if the words can't be understood or contradict one another
   * @throws DataException if a file can't be used
   */
  public Question question(QuestionArguments spec, SourceOpener opening) {
    return maker.apply(spec, opening);
  }

  /**
   * Says how a question is asked again, for the end of its report.
   *
   * @param spec its words
   * @param opening how files are opened, which tells of what date they are
   * @return the origin
   */
  public Origin origin(QuestionArguments spec, SourceOpener opening) {
    return Origins.of(this, spec, opening, "");
  }

  /**
   * Opens the rows of a file or a database that the parameters name.
   *
   * @param spec the words: data or database, and what goes with them
   * @param opening how files are opened
   * @return the source; it is read when it is asked
   * @throws SpecException if they name none, or contradict one another
   */
  public static CountSource source(QuestionArguments spec, SourceOpener opening) {
    CountsSpec counts = new CountsSpec(spec, opening);
    counts.requireRows();
    return counts.source();
  }

  /**
   * Describes the rows that the parameters name, with codes read as a codebook says.
   *
   * @param spec the words: data or database, and what goes with them
   * @param opening how files are opened
   * @return the columns and their levels
   * @throws SpecException if the words name no rows, or contradict one another
   */
  public static DataOverview overview(QuestionArguments spec, SourceOpener opening) {
    return described(source(spec, opening).overview(), spec, opening);
  }

  /**
   * Describes rows, with codes read as a codebook says.
   *
   * @param overview the columns and their levels as they are written
   * @param spec the words that name the rows
   * @param opening how files are opened
   * @return the columns and their levels as they are read
   */
  public static DataOverview described(
      DataOverview overview, QuestionArguments spec, SourceOpener opening) {
    return new Recodings(spec, opening).described(overview);
  }

  /**
   * Finds a kind by its word, such as {@code compare}.
   *
   * @param kind which kind
   * @return the kind, if there is one
   */
  public static Optional<QuestionKind> of(String kind) {
    return Arrays.stream(values()).filter(each -> each.words.kind().equals(kind)).findFirst();
  }
}
