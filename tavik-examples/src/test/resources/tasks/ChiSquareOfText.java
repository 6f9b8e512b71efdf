package dev.tavik.examples.tasks;

import dev.tavik.answer.Answer;
import dev.tavik.association.TableTest;
import dev.tavik.count.CrossTable;
import dev.tavik.study.cross.CrossQuestion;

/** Chi-square of a table read from text. */
public final class ChiSquareOfText {
  public static String run() throws Exception {
    CrossTable table = CrossTable.parse("12 5; 7 9");
    Answer answer = CrossQuestion.of(table).ask();
    return "p = " + answer.test(TableTest.PEARSON).pValue();
  }
}
