package dev.tavik.simulation;

import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** Tells someone how far long work has come, for as long as it lasts on this thread. */
public final class Progress {
  private static final ThreadLocal<@Nullable Listener> LISTENER = new ThreadLocal<>();

  private Progress() {}

  /** Someone who wants to know. */
  @FunctionalInterface
  public interface Listener {
    /**
     * More was drawn.
     *
     * @param drawn how much by now
     * @param asked how much was asked for
     */
    void drawn(long drawn, long asked);

    /**
     * A search looked at more sizes of a sample.
     *
     * @param size the size by now
     * @param about where it may end
     */
    default void sizes(long size, long about) {}
  }

  /**
   * Does work and tells the listener of every simulation in it.
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

  static void tell(long drawn, long asked) {
    Listener listener = LISTENER.get();
    if (listener != null) {
      listener.drawn(drawn, asked);
    }
  }

  /**
   * Tells the listener, if there is one, that a search looked at more sizes.
   *
   * @param size the size by now
   * @param about where it may end
   */
  public static void tellSizes(long size, long about) {
    Listener listener = LISTENER.get();
    if (listener != null) {
      listener.sizes(size, about);
    }
  }
}
