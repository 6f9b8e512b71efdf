package dev.tavik.cli;

import dev.tavik.data.DelimitedText;
import dev.tavik.report.Emphasis;
import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.InputStream;
import java.io.OutputStreamWriter;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;

/** The program: hands the process's streams to {@link Tavik}. */
public final class Main {
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
    Terminal terminal =
        new Terminal(
            writer(FileDescriptor.out),
            writer(FileDescriptor.err),
            name ->
                name.equals(DelimitedText.STANDARD_INPUT) ? stdin() : DelimitedText.openFile(name),
            plain ? Emphasis.NONE : Emphasis.TERMINAL,
            System.getProperty("tavik.name", "tavik"));
    int status = new Tavik(terminal).run(arguments);
    terminal.out().flush();
    terminal.err().flush();
    System.exit(status);
  }

  private static InputStream stdin() {
    return System.in;
  }

  private static PrintWriter writer(FileDescriptor stream) {
    return new PrintWriter(
        new OutputStreamWriter(new FileOutputStream(stream), StandardCharsets.UTF_8));
  }
}
