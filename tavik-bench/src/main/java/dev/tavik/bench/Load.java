package dev.tavik.bench;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Question;
import dev.tavik.association.Shares;
import dev.tavik.count.CategoryCounts;
import dev.tavik.count.CrossTable;
import dev.tavik.count.Tally;
import dev.tavik.report.Report;
import dev.tavik.result.Alternative;
import dev.tavik.simulation.Draws;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.cross.CrossQuestion;
import dev.tavik.study.rate.RateQuestion;
import dev.tavik.study.shares.SharesQuestion;
import dev.tavik.study.simulated.SimulatedQuestion;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;

/**
 * Mixed questions through the library from one thread and from several, in turn: how many each
 * answers in a second of its processor time, what the heap holds after each turn, and whether every
 * answer is to the letter the one that was given first. {@code tavik-bench/load.sh SECONDS
 * THREADS}.
 */
public final class Load {
  private static final int TURNS = 10;

  private final List<Question> questions;
  private final List<String> answers = new ArrayList<>();

  private Load(List<Question> questions) {
    this.questions = questions;
    questions.forEach(question -> answers.add(answer(question)));
  }

  /** What one thread did. */
  private record Done(long questions, double seconds) {}

  /**
   * Runs.
   *
   * @param arguments for how many seconds in all, and with how many threads
   * @throws Exception if an answer isn't as it was
   */
  public static void main(String[] arguments) throws Exception {
    double seconds = Double.parseDouble(arguments[0]);
    int threads = Integer.parseInt(arguments[1]);
    Load load = new Load(mixed());
    double one = 0;
    double several = 0;
    load.turn(1, seconds / TURNS / 4);
    for (int turn = 0; turn < TURNS; turn++) {
      double alone = load.turn(1, seconds / TURNS / 4);
      double together = load.turn(threads, seconds / TURNS * 3 / 4);
      one += alone / TURNS;
      several += together / TURNS;
      System.out.printf(
          Locale.ROOT,
          "turn %d: %.0f questions a second of one thread's own time, %.0f of each of %d threads';"
              + " heap %.1f MB%n",
          turn + 1,
          alone,
          together,
          threads,
          heap());
    }
    System.out.printf(Locale.ROOT, "%d threads against one: %.3f x%n", threads, several / one);
  }

  private double turn(int threads, double seconds) throws InterruptedException, ExecutionException {
    ExecutorService pool = Executors.newFixedThreadPool(threads);
    long until = System.nanoTime() + (long) (seconds * 1e9);
    List<Future<Done>> running = new ArrayList<>();
    for (int thread = 0; thread < threads; thread++) {
      int from = thread;
      running.add(pool.submit(() -> ask(from, until)));
    }
    double rate = 0;
    for (Future<Done> each : running) {
      rate += each.get().questions() / each.get().seconds() / threads;
    }
    pool.shutdown();
    return rate;
  }

  private Done ask(int from, long until) {
    ThreadMXBean clock = ManagementFactory.getThreadMXBean();
    long before = clock.getCurrentThreadCpuTime();
    long asked = 0;
    // Whole rounds, so that every thread asks the same mixture.
    while (System.nanoTime() < until) {
      for (int i = 0; i < questions.size(); i++) {
        int which = (i + from) % questions.size();
        if (!answer(questions.get(which)).equals(answers.get(which))) {
          throw new IllegalStateException("another answer to question " + which);
        }
        asked++;
      }
    }
    return new Done(asked, (clock.getCurrentThreadCpuTime() - before) / 1e9);
  }

  private static String answer(Question question) {
    Answer answer = question.ask();
    return answer.verdict().text() + Report.JSON.of(answer);
  }

  private static double heap() {
    System.gc();
    return ManagementFactory.getMemoryMXBean().getHeapMemoryUsage().getUsed() / 1e6;
  }

  private static List<Question> mixed() {
    List<Question> questions = new ArrayList<>();
    for (int i = 1; i <= 5; i++) {
      Tally first = Tally.of(14L * i, 400L * i);
      Tally second = Tally.of(31L * i, 410L * i);
      questions.add(RateQuestion.of(first, 0.05).alternative(Alternative.LESS));
      CompareQuestion compare = CompareQuestion.of(first, second);
      questions.add(compare);
      questions.add(compare.bayes(BayesSettings.usual()));
      questions.add(SimulatedQuestion.of(compare, Draws.of(2_000, i)));
      questions.add(
          CrossQuestion.of(
              new CrossTable(
                  List.of("North", "South", "Tunnel"),
                  List.of("sound", "crazed", "cracked"),
                  List.of(
                      List.of(20L * i, 3L, 2L), List.of(18L, 5L, 4L * i), List.of(21L, 1L, 3L)))));
      questions.add(
          SharesQuestion.of(
              CategoryCounts.of(List.of("ash", "iron", "cobalt"), List.of(31L * i, 22L, 17L)),
              Shares.equal(3)));
    }
    return questions;
  }
}
