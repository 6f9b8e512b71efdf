package dev.tavik.answer;

import dev.tavik.result.Method;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** The result in one sentence, and what it rests on. */
public final class Verdict {
  private static final Pattern OWN_WORDS =
      Pattern.compile("(?:the|rows and columns|columns fall|all|no) ");

  private final String text;
  private final String opening;
  private final Decision decision;
  private final @Nullable Method test;
  private final @Nullable Method interval;
  private final String grounds;
  private final boolean rejectionWanted;

  /** What a test decided. */
  public enum Decision {
    /** The null is rejected. */
    REJECTED,
    /** The null is not rejected. */
    NOT_REJECTED,
    /** Nothing was tested, or several things at once. */
    NONE
  }

  private Verdict(
      String text,
      String opening,
      Decision decision,
      @Nullable Method test,
      @Nullable Method interval,
      String grounds,
      boolean rejectionWanted) {
    this.text = text;
    this.opening = opening;
    this.decision = decision;
    this.test = test;
    this.interval = interval;
    this.grounds = grounds;
    this.rejectionWanted = rejectionWanted;
  }

  /**
   * Makes a verdict about something that was not tested.
   *
   * @param text in words
   * @return the verdict
   */
  public static Verdict of(String text) {
    return new Verdict(text, text, Decision.NONE, null, null, "", false);
  }

  /** {@return this verdict, opening with a capital where its first words are not a user's} */
  public Verdict inOwnWords() {
    String capital =
        OWN_WORDS.matcher(text).lookingAt()
            ? Character.toUpperCase(text.charAt(0)) + text.substring(1)
            : text;
    return new Verdict(text, capital, decision, test, interval, grounds, rejectionWanted);
  }

  /**
   * {@return this verdict with what was decided}
   *
   * @param rejects whether the test rejects
   */
  public Verdict rejecting(boolean rejects) {
    return new Verdict(
        text,
        opening,
        rejects ? Decision.REJECTED : Decision.NOT_REJECTED,
        test,
        interval,
        grounds,
        rejectionWanted);
  }

  /**
   * {@return this verdict with what it rests on}
   *
   * @param basis the test
   * @param limits the interval; null where it names none
   * @param sentence the same in words, with the reason
   */
  public Verdict restingOn(Method basis, @Nullable Method limits, String sentence) {
    return new Verdict(text, opening, decision, basis, limits, sentence, rejectionWanted);
  }

  /** {@return the sentence, beginning with the analyst's own label where there is one} */
  public String text() {
    return text;
  }

  /** {@return the sentence as it stands alone, with a capital where the first word is Tavik's} */
  public String sentence() {
    return opening;
  }

  /** {@return what was decided} */
  public Decision decision() {
    return decision;
  }

  /** {@return the test that the verdict rests on} */
  public Optional<Method> test() {
    return Optional.ofNullable(test);
  }

  /** {@return the interval that the verdict rests on} */
  public Optional<Method> interval() {
    return Optional.ofNullable(interval);
  }

  /** {@return this verdict about something that is shown by rejecting, as equivalence is} */
  public Verdict wantingRejection() {
    return new Verdict(text, opening, decision, test, interval, grounds, true);
  }

  /** {@return whether rejecting the null shows what was to be shown, as of equivalence} */
  public boolean rejectionWanted() {
    return rejectionWanted;
  }

  /** {@return what it rests on and why, in words; empty where there is nothing to say} */
  public String grounds() {
    return grounds;
  }

  @Override
  public String toString() {
    return text;
  }
}
