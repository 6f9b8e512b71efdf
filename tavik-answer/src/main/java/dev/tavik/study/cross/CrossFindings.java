package dev.tavik.study.cross;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Column;
import dev.tavik.answer.Estimates;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Value;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.study.parts.Refusals;
import org.jspecify.annotations.Nullable;

/** Puts the answer about two classifications together. */
record CrossFindings(CrossFound found) {
  Answer answer() {
    CrossAsked asked = found.asked();
    CrossData data = found.data();
    return asked
        .begin(data.input())
        .addAll(data.about())
        .add(new Estimates(data.estimates()))
        .add(data.observed(found))
        .addAll(data.context(found))
        .add(
            data.tests(
                "Tests: null, rows and columns are independent; alpha "
                    + Figures.plain(asked.alpha()),
                found))
        .addAll(Refusals.said(found.refusals()))
        .addAll(data.beside(found))
        .add(data.intervals())
        .add(data.strength())
        .add(data.figures(found))
        .addAll(data.last(found))
        .conditions(data.conditions())
        .cautions(found.cautions())
        .concluded(found.verdict());
  }

  static Sheet strengths(String title, double level) {
    return Sheet.read(
        title + ", level " + Figures.exactPercent(level),
        Column.words(),
        Column.numbers(""),
        Column.numbers(""),
        Column.words(),
        Column.numbers(""));
  }

  static void strength(Sheet sheet, String name, double value, @Nullable Interval interval) {
    sheet.row(
        name,
        Value.significant(value, 4),
        interval == null ? Value.none() : Value.significant(interval.lower(), 4),
        interval == null ? "" : "to",
        interval == null ? Value.none() : Value.significant(interval.upper(), 4));
  }
}
