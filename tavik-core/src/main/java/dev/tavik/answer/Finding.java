package dev.tavik.answer;

import java.util.List;

/**
 * Is something found: figures under a key for machines, blocks for readers. Either may be empty,
 * where the figures of one finding are read in another.
 */
public interface Finding {
  /** Returns the key under which its figures stand; empty where they stand in another finding. */
  default String key() {
    return "";
  }

  /** Returns its figures. */
  default Value figures() {
    return Value.none();
  }

  /** Returns what a reader sees of it, in order. */
  default List<Block> reading() {
    return List.of();
  }

  /** Returns in which readings it is shown. */
  default Depth depth() {
    return Depth.ALWAYS;
  }

  /** Returns whether readers find it after conditions and cautions, as working and simulations. */
  default boolean last() {
    return false;
  }

  /** States a figure that readers find in words: what was asked, or of what data. */
  static Finding fact(String key, Value figures) {
    return new Said(key, figures, List.of());
  }

  /** Says something to readers whose figures stand elsewhere. */
  static Finding say(Block... blocks) {
    return new Said("", Value.none(), List.of(blocks));
  }

  /** Says a sentence, indented by two. */
  static Finding sentence(String text) {
    return say(Block.paragraph(text));
  }

  /** Shows a finding only in readings of such a depth. */
  default Finding at(Depth depth) {
    return new AtDepth(this, depth);
  }
}
