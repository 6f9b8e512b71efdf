package dev.tavik.cli;

import dev.tavik.data.Opening;
import dev.tavik.report.Screen;
import java.io.PrintWriter;

/**
 * What surrounds a command.
 *
 * @param out where answers go
 * @param err where troubles and notes go
 * @param files how named data are opened
 * @param screen what {@code out} is laid out for
 * @param name what the analyst types to call Tavik, for commands to be pasted
 */
public record Terminal(
    PrintWriter out, PrintWriter err, Opening files, Screen screen, String name) {}
