package dev.tavik.report;

import dev.tavik.result.Working;
import dev.tavik.result.WorkingStep;
import java.util.List;

/** Calculations by hand, line by line. */
record WorkingText(Lines lines) {

  void write(List<Working> workings) {
    if (workings.isEmpty()) {
      lines.heading("Working");
      lines.paragraph(
          "  ",
          "  ",
          "None of these methods has a closed form to be done by hand; z tests and closed-form"
              + " intervals have.");
    }
    for (Working working : workings) {
      lines.heading("Working: " + working.title());
      lines.paragraph(
          "  ",
          "  ",
          working.symbols() + ". Values are shown to ten digits and carried on unrounded.");
      int number = 1;
      for (WorkingStep step : working.steps()) {
        step(number, step);
        number++;
      }
    }
  }

  private void step(int number, WorkingStep step) {
    String first = step.symbol().isEmpty() ? "" : step.symbol() + " = ";
    String others = step.symbol().isEmpty() ? "" : " ".repeat(step.symbol().length()) + " = ";
    lines.blank();
    lines.line("  " + number + ". " + step.name());
    lines.paragraph("       " + first, " ".repeat(11), step.formula());
    lines.paragraph("       " + others, " ".repeat(11), step.substituted());
    lines.line("       " + others + step.value());
    if (!step.reason().isEmpty()) {
      lines.paragraph("       ", "       ", step.reason());
    }
  }
}
