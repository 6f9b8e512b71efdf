package dev.tavik.report;

import dev.tavik.answer.Block;
import dev.tavik.answer.Value;
import java.util.List;

/** Writes what readers see of an answer, or what machines see; a format knows no question. */
interface Format {
  /**
   * Writes a document.
   *
   * @param title what it is about, in words; may be empty
   * @param blocks what readers see
   * @param figures what machines see
   */
  String write(String title, List<Block> blocks, Value.Fields figures);
}
