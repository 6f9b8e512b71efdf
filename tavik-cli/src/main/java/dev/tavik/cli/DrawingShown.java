package dev.tavik.cli;

import dev.tavik.simulation.Progress;
import java.io.PrintWriter;
import java.util.Locale;

/**
 * Shows on a terminal how far a long simulation or search has come, on one line that is wiped at
 * the end.
 */
final class DrawingShown implements Progress.Listener {
  private static final long AFTER_NANOS = 1_000_000_000;
  private static final long EVERY_NANOS = 200_000_000;

  private final PrintWriter err;
  private final long start = System.nanoTime();
  private long last = start + AFTER_NANOS - EVERY_NANOS;
  private boolean shown;

  DrawingShown(PrintWriter err) {
    this.err = err;
  }

  @Override
  public void drawn(long drawn, long asked) {
    show(drawn, asked, "%,d of %,d drawn, %d%%; Ctrl-C stops here");
  }

  @Override
  public void sizes(long size, long about) {
    show(size, about, "n = %,d of about %,d looked at, %d%%");
  }

  private void show(long done, long asked, String form) {
    long now = System.nanoTime();
    if (now - last >= EVERY_NANOS && done < asked) {
      last = now;
      shown = true;
      err.print(
          "\r" + String.format(Locale.ROOT, form, done, asked, 100 * done / asked) + "\033[K");
      err.flush();
    }
  }

  /** Wipes the line. */
  void wipe() {
    if (shown) {
      err.print("\r\033[K");
      err.flush();
    }
  }
}
