package dev.tavik.simulation;

import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** Tells someone how far drawing has come, for as long as some work lasts on this thread. */
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
}
