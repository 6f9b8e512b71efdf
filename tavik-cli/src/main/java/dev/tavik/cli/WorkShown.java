package dev.tavik.cli;

import dev.tavik.data.SourceOpener;
import dev.tavik.result.Progress;
import dev.tavik.result.Progress.Task;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Optional;
import java.util.function.Supplier;
import me.tongfei.progressbar.ProgressBar;
import me.tongfei.progressbar.ProgressBarBuilder;
import me.tongfei.progressbar.ProgressBarConsumer;
import me.tongfei.progressbar.ProgressBarStyle;
import org.jspecify.annotations.Nullable;

/**
 * Shows the progress of computations that take longer than a second on one line of a terminal,
 * which is erased at the end: bytes of a file that is read, and everything that {@link Progress}
 * reports.
 */
final class WorkShown implements Progress.Listener, SourceOpener {
  private static final long AFTER_NANOS = 1_000_000_000;
  private static final int EVERY_MILLIS = 200;
  private static final long MEGABYTE = 1 << 20;

  private final PrintWriter err;
  private final SourceOpener files;
  private final int width;
  private long start = System.nanoTime();
  private String named = "";
  private @Nullable ProgressBar bar;

  /**
   * Creates a display of progress.
   *
   * @param err where it is shown
   * @param files how files are opened, whose bytes are counted
   * @param width how wide the terminal is
   */
  WorkShown(PrintWriter err, SourceOpener files, int width) {
    this.err = err;
    this.files = files;
    this.width = width;
  }

  /** Runs a computation and erases the line when it ends. */
  <T> T during(Supplier<T> work) {
    start = System.nanoTime();
    try {
      return Progress.told(this, work);
    } finally {
      end();
    }
  }

  @Override
  public void at(Task work, long done, long about) {
    switch (work) {
      case DRAWING -> show("Drawing, Ctrl-C ends it here", done, about, "", 1);
      case SIZES -> show("Looking at sizes", done, about, "", 1);
      case TABLES -> show("Summing tables, of its budget", done, about, "", 1);
      case COLUMNS -> show("Testing columns", done, about, "", 1);
    }
  }

  @Override
  public InputStream open(String name) throws IOException {
    long size = size(name);
    InputStream in = files.open(name);
    return size == 0 ? in : new Counted(in, size);
  }

  @Override
  public Optional<Path> path(String name) {
    return files.path(name);
  }

  private long size(String name) throws IOException {
    Path file = files.path(name).orElse(null);
    return file == null || !Files.isRegularFile(file) ? 0 : Files.size(file);
  }

  private synchronized void show(String what, long done, long about, String unit, long size) {
    if (System.nanoTime() - start < AFTER_NANOS) {
      return;
    }
    if (!named.equals(what)) {
      end();
      named = what;
      bar =
          new ProgressBarBuilder()
              .setTaskName(what)
              .setInitialMax(about)
              .setUnit(unit, size)
              .setStyle(ProgressBarStyle.ASCII)
              .setUpdateIntervalMillis(EVERY_MILLIS)
              .startsFrom(done, Duration.ofNanos(System.nanoTime() - start))
              .setConsumer(new ProgressLine())
              .build();
    }
    ProgressBar shown = bar;
    if (shown != null) {
      shown.maxHint(about).stepTo(Math.min(done, about));
    }
  }

  private synchronized void end() {
    ProgressBar shown = bar;
    if (shown != null) {
      shown.close();
    }
    bar = null;
    named = "";
  }

  /** The line on the terminal, whose width is known. */
  private final class ProgressLine implements ProgressBarConsumer {
    @Override
    public int getMaxRenderedLength() {
      return width - 1;
    }

    @Override
    public void accept(String line) {
      err.print("\r" + line + "\033[K");
      err.flush();
    }

    @Override
    public void close() {
      err.print("\r\033[K");
      err.flush();
    }
  }

  /** A file whose bytes are counted as they are read. */
  private final class Counted extends FilterInputStream {
    private final long size;
    private long read;

    Counted(InputStream in, long size) {
      super(in);
      this.size = size;
    }

    @Override
    public int read() throws IOException {
      int one = in.read();
      return counted(one, one < 0 ? 0 : 1);
    }

    @Override
    public int read(byte[] bytes, int offset, int length) throws IOException {
      int some = in.read(bytes, offset, length);
      return counted(some, Math.max(0, some));
    }

    private int counted(int given, int bytes) {
      read += bytes;
      show("Reading", read, size, " MB", MEGABYTE);
      return given;
    }

    @Override
    public boolean markSupported() {
      return false;
    }
  }
}
