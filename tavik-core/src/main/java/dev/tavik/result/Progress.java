package dev.tavik.result;

import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** Tells someone how far long work has come, for as long as it lasts on this thread. */
public final class Progress {
  private static final ThreadLocal<@Nullable Listener> LISTENER = new ThreadLocal<>();

  private Progress() {}

  /** What takes long. */
  public enum Task {
    /**
     * Worlds are drawn in which a null is true; interrupting the thread ends it with what there is.
     */
    DRAWING,
    /** A plan looks at one size of a sample after another. */
    SIZES,
    /** The tables of an exact test are summed, counted in steps of its budget. */
    TABLES,
    /** Column after column of a sweep is tested. */
    COLUMNS
  }

  /** Someone who wants to know. */
  @FunctionalInterface
  public interface Listener {
    /**
     * Work has come further.
     *
     * @param work which
     * @param done how much is done
     * @param about how much there is, or may be
     */
    void at(Task work, long done, long about);
  }

  /**
   * Does work and tells the listener of everything in it that takes long.
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
