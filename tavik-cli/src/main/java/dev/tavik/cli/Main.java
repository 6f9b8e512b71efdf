package dev.tavik.cli;

import dev.tavik.data.SourceOpener;
import dev.tavik.data.Sources;
import dev.tavik.report.Emphasis;
import dev.tavik.report.Screen;
import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;

/** Starts the program and passes the process's streams to {@link Tavik}. */
public final class Main {
  private static final int PATIENCE_SECONDS = 2;

  private Main() {}

  /**
   * Runs the command line and ends the process with its exit status.
   *
   * @param arguments the command line
   */
  public static void main(String[] arguments) {
    System.setProperty("java.awt.headless", "true");
    // The launcher knows whether it writes to a terminal; the JDK's answer changes with its
    // version.
    boolean plain =
        !Boolean.getBoolean("tavik.terminal")
            || System.getenv("NO_COLOR") != null
            || "dumb".equals(System.getenv("TERM"));
    PrintWriter err = writer(FileDescriptor.err);
    SourceOpener files = new FilesAndInput();
    Terminal terminal =
        new Terminal(
            writer(FileDescriptor.out),
            err,
            Boolean.getBoolean("tavik.progress") ? new WorkShown(err, files, width()) : files,
            new Screen(plain ? Emphasis.NONE : Emphasis.TERMINAL, width()),
            System.getProperty("tavik.name", "tavik"));
    CountDownLatch finished = new CountDownLatch(1);
    Thread worker = Thread.currentThread();
    Runtime.getRuntime().addShutdownHook(new Thread(() -> stop(worker, finished)));
    int status = run(terminal, arguments);
    terminal.out().flush();
    terminal.err().flush();
    finished.countDown();
    System.exit(status);
  }

  private static int run(Terminal terminal, String... arguments) {
    try {
      return new Tavik(terminal).run(arguments);
    } catch (NoClassDefFoundError e) {
      terminal
          .err()
          .println(
              "tavik: a part of the program is missing, the class "
                  + String.valueOf(e.getMessage()).replace('/', '.')
                  + "; each jar that tavik.jar came with must lie in the folder lib beside it");
      return ExitStatus.FAULT;
    }
  }

  /** The launcher knows that too. */
  private static int width() {
    String said = System.getProperty("tavik.width", "");
    return said.matches("[1-9]\\d{0,4}") ? Integer.parseInt(said) : Screen.PLAIN.width();
  }

  /**
   * On Ctrl-C a simulation ends with what was drawn so far, and its answer is still printed; no
   * file is written any more.
   */
  private static void stop(Thread worker, CountDownLatch finished) {
    if (finished.getCount() == 0) {
      return;
    }
    FileBatch.end();
    worker.interrupt();
    try {
      if (!finished.await(PATIENCE_SECONDS, TimeUnit.SECONDS)) {
        return;
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** Files by their paths, and standard input. */
  private static final class FilesAndInput implements SourceOpener {
    private final SourceOpener files = SourceOpener.ofFiles();

    @Override
    public InputStream open(String name) throws IOException {
      return name.equals(Sources.STANDARD_INPUT) ? stdin() : files.open(name);
    }

    @Override
    public Optional<Path> path(String name) {
      return name.equals(Sources.STANDARD_INPUT) ? Optional.empty() : files.path(name);
    }
  }

  private static InputStream stdin() {
    return System.in;
  }

  private static PrintWriter writer(FileDescriptor stream) {
    return new PrintWriter(
        new OutputStreamWriter(new Outlet(new FileOutputStream(stream)), StandardCharsets.UTF_8));
  }

  /** A reader that stops early, such as {@code head}, is no problem: the rest is discarded. */
  private static final class Outlet extends FilterOutputStream {
    private boolean closed;

    Outlet(OutputStream stream) {
      super(stream);
    }

    @Override
    public void write(int character) throws IOException {
      write(new byte[] {(byte) character}, 0, 1);
    }

    @Override
    public void write(byte[] bytes, int offset, int length) throws IOException {
      if (closed) {
        return;
      }
      try {
        out.write(bytes, offset, length);
      } catch (IOException e) {
        if (!String.valueOf(e.getMessage()).contains("roken pipe")) {
          throw e;
        }
        closed = true;
      }
    }
  }
}
