/**
 * The command line. Each command collects its options as words, has {@code dev.tavik.data} make a
 * question of them, asks it, and has {@code dev.tavik.report} write the answer. {@link
 * dev.tavik.cli.Tavik} is the entry point, with all streams and files handed in, so that the whole
 * of it runs inside a test.
 */
@NullMarked
package dev.tavik.cli;

import org.jspecify.annotations.NullMarked;
