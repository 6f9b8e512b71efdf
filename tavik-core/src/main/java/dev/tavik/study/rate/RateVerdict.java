package dev.tavik.study.rate;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Verdict;
import dev.tavik.result.Figures;
import dev.tavik.study.parts.RateSentence;

/** The verdict on one rate. */
final class RateVerdict {
  private RateVerdict() {}

  static Verdict of(RateFound answer) {
    double against = answer.settings().hypothesis().against();
    return new RateSentence(
            subject(answer),
            say(
                "%s (%s of %s)",
                Figures.percentBeside(answer.tally().proportion(), against),
                Figures.count(answer.tally().successes()),
                Figures.count(answer.tally().trials())),
            answer.tally().proportion(),
            answer.preferredTest(),
            answer.preferredInterval(),
            answer.settings().hypothesis(),
            answer.settings().alpha())
        .verdict();
  }

  private static String subject(RateFound answer) {
    String subject = answer.label().isEmpty() ? "The rate" : answer.label() + ": the rate";
    Long lot = answer.settings().lot();
    return lot == null ? subject : subject + " in the lot of " + Figures.count(lot);
  }
}
