package dev.tavik.result;

import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** Reports the progress of long computations on this thread to a listener. */
public final class Progress {
  private static final ThreadLocal<@Nullable Listener> LISTENER = new ThreadLocal<>();

  private Progress() {}

  /** The computations that take long. */
  public enum Task {
    /**
     * Drawing samples under a null hypothesis; interrupting the thread ends it with the draws made
     * so far.
     */
    DRAWING,
    /** Searching sample sizes for a plan. */
    SIZES,
    /** Summing the tables of an exact test, counted in steps of its budget. */
    TABLES,
    /** Testing the columns of a sweep. */
    COLUMNS
  }

  /** A listener. */
  @FunctionalInterface
  public interface Listener {
    /**
     * Called when a computation has progressed.
     *
     * @param work which
     * @param done how much is done
     * @param about how much there is, or may be
     */
    void at(Task work, long done, long about);
  }

  /**
   * Runs a computation and reports the progress of everything in it that takes long.
   *
   * @param listener who is told, on this thread
   * @param work the work
   * @param <T> what it gives
   * @return what the work gave
   */
  public static <T> T told(Listener listener, Supplier<T> work) {
    LISTENER.set(listener);
    try {
      return work.get();
    } finally {
      LISTENER.remove();
    }
  }

  /**
   * Tells the listener, if there is one on this thread.
   *
   * @param work which work
   * @param done how much is done
   * @param about how much there is, or may be
   */
  public static void tell(Task work, long done, long about) {
    Listener listener = LISTENER.get();
    if (listener != null) {
      listener.at(work, done, about);
    }
  }
}
