package dev.tavik.cli;

import static dev.tavik.result.Figures.require;

import dev.tavik.report.Visible;
import dev.tavik.study.Gate;
import java.util.function.Supplier;
import picocli.CommandLine.Model.CommandSpec;

/** Options that make an answer a gate for a line. */
final class GateOptions {
  boolean gate;
  boolean quiet;

  void addTo(CommandSpec command) {
    command.addOption(
        OutputOptions.flag("--gate", value -> gate = value)
            .description(
                "End with status 10 where a null is rejected, or what --show names is not shown;"
                    + " with 11 where no outcome could have been rejected; else with 0.")
            .build());
    command.addOption(
        OutputOptions.flag("--quiet", value -> quiet = value)
            .description("With --gate: print nothing but the line that says which.")
            .build());
  }

  void check() {
    require(gate || !quiet, "--quiet leaves nothing to be seen without --gate; add it");
  }

  /** Says on the error stream which way the gate stands; returns the status, a trouble's first. */
  int status(int status, Supplier<Gate> judged, Terminal terminal) {
    if (!gate || status != ExitStatus.ANSWERED) {
      return status;
    }
    Gate judgement = judged.get();
    int gated =
        switch (judgement.state()) {
          case OPEN -> ExitStatus.ANSWERED;
          case STOPPED -> ExitStatus.STOPPED;
          case UNDECIDED -> ExitStatus.UNDECIDED;
        };
    terminal.err().println("tavik: gate " + gated + ", " + Visible.of(judgement.reason()));
    return gated;
  }
}
