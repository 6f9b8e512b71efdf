package dev.tavik.cli;

/** The exit statuses of commands. */
public final class ExitStatus {
  /** Every question was answered. */
  public static final int ANSWERED = 0;

  /** The command line is wrong. */
  public static final int USAGE = 2;

  /** The data can't be read or used. */
  public static final int DATA = 3;

  /** Tavik is at fault. */
  public static final int FAULT = 4;

  /** With a gate: a null is rejected, or what was to be shown is not. */
  public static final int STOPPED = 10;

  /** With a gate: the data can't decide. */
  public static final int UNDECIDED = 11;

  private ExitStatus() {}
}
