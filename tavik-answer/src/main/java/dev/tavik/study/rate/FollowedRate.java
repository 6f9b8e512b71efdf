package dev.tavik.study.rate;

import dev.tavik.answer.Caution;
import dev.tavik.bayes.BayesFactorPath;
import dev.tavik.count.OutcomeSequence;
import dev.tavik.count.Tally;
import dev.tavik.phrase.SourceCautions;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A rate followed from observation to observation.
 *
 * @param sequence the outcomes in their order
 * @param path the Bayes factor after each
 */
record FollowedRate(OutcomeSequence sequence, BayesFactorPath path) {
  private static final int STOPS = 8;

  /** Number of standard errors below the expected number of runs that hardly happens by chance. */
  private static final double FAR_FEWER = 4;

  /**
   * Where the path stands at one place.
   *
   * @param observations after how many observations
   * @param successes the successes among them
   * @param logBayesFactor ln of the Bayes factor there
   */
  record Stop(int observations, long successes, double logBayesFactor) {}

  static FollowedRate of(OutcomeSequence sequence, BayesFactorPath path) {
    return new FollowedRate(sequence, path);
  }

  /**
   * Some places along the path, evenly spaced, the last at its end.
   *
   * @return eight places, or as many as there are observations
   */
  List<Stop> stops() {
    List<Stop> stops = new ArrayList<>();
    int size = sequence.size();
    int many = Math.min(STOPS, size);
    long successes = 0;
    for (int i = 0; i < size; i++) {
      successes += sequence.isSuccess(i) ? 1 : 0;
      long next = Math.round((stops.size() + 1.0) * size / many);
      if (i + 1 == next) {
        stops.add(new Stop(i + 1, successes, path.log(i + 1)));
      }
    }
    return stops;
  }

  /**
   * The place where the Bayes factor was most for one side.
   *
   * @param forAlternative whether for the alternative, else for the null
   * @return that place; none if it never was for that side
   */
  Optional<Stop> farthest(boolean forAlternative) {
    int best = 0;
    double most = 0;
    for (int i = 1; i <= path.size(); i++) {
      double log = forAlternative ? path.log(i) : -path.log(i);
      if (log > most) {
        most = log;
        best = i;
      }
    }
    if (best == 0) {
      return Optional.empty();
    }
    long successes = 0;
    for (int i = 0; i < best; i++) {
      successes += sequence.isSuccess(i) ? 1 : 0;
    }
    return Optional.of(new Stop(best, successes, path.log(best)));
  }

  /** A caution if the rows look sorted by their outcome (Wald and Wolfowitz's number of runs). */
  static Optional<Caution> sorted(OutcomeSequence sequence) {
    Tally tally = sequence.tally();
    double n = tally.trials();
    double shared = 2.0 * tally.successes() * tally.failures();
    double expected = 1 + shared / n;
    double variance = shared * (shared - n) / (n * n * (n - 1));
    int runs = sequence.runs();
    if (!(variance > 0 && expected - runs > FAR_FEWER * Math.sqrt(variance))) {
      return Optional.empty();
    }
    return Optional.of(SourceCautions.sorted(runs - 1, expected - 1));
  }
}
