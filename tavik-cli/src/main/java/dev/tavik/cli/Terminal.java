package dev.tavik.cli;

import dev.tavik.data.SourceOpener;
import dev.tavik.report.Screen;
import java.io.PrintWriter;
import java.util.function.Supplier;

/**
 * What surrounds a command.
 *
 * @param out where answers go
 * @param err where troubles and notes go
 * @param files how named data are opened; what shows work shows how far they are read
 * @param screen what {@code out} is laid out for
 * @param name what the analyst types to call Tavik, for commands to be pasted
 */
public record Terminal(
    PrintWriter out, PrintWriter err, SourceOpener files, Screen screen, String name) {
  /**
   * Runs a computation that may take long, and shows its progress at a terminal.
   *
   * @param work the work
   * @param <T> what it gives
   * @return what it gave
   */
  <T> T shown(Supplier<T> work) {
    return files instanceof WorkShown shown ? shown.during(work) : work.get();
  }
}
