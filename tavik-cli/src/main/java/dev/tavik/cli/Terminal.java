package dev.tavik.cli;

import dev.tavik.data.Opening;
import dev.tavik.report.Emphasis;
import java.io.PrintWriter;

/**
 * What surrounds a command.
 *
 * @param out where answers go
 * @param err where troubles and notes go
 * @param files how named data are opened
 * @param emphasis how headings stand out in {@code out}
 * @param name what the analyst types to call Tavik, for commands to be pasted
 */
public record Terminal(
    PrintWriter out, PrintWriter err, Opening files, Emphasis emphasis, String name) {}
