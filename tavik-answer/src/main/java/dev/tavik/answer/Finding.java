package dev.tavik.answer;

import java.util.List;

/**
 * A result: figures under a key for programs and blocks for readers. Either may be empty if another
 * finding has them.
 */
public interface Finding {
  /** {@return the key under which its figures stand; empty where they stand in another finding} */
  default String key() {
    return "";
  }

  /** {@return its figures} */
  default Value figures() {
    return Value.none();
  }

  /** {@return what a reader sees of it, in order} */
  default List<Block> reading() {
    return List.of();
  }

  /** {@return in which readings it is shown} */
  default Depth depth() {
    return Depth.ALWAYS;
  }

  /** {@return whether readers find it after conditions and cautions, as working and simulations} */
  default boolean last() {
    return false;
  }

  /**
   * States a figure that readers find in words: what was asked, or of what data.
   *
   * @param key the key that machines see
   * @param figures what machines see
   * @return the finding
   */
  static Finding fact(String key, Value figures) {
    return new StaticFinding(key, figures, List.of());
  }

  /**
   * Says something to readers whose figures stand elsewhere.
   *
   * @param blocks what readers see, in order
   * @return the finding
   */
  static Finding say(Block... blocks) {
    return new StaticFinding("", Value.none(), List.of(blocks));
  }

  /**
   * Says a sentence, indented by two.
   *
   * @param text in words
   * @return the finding
   */
  static Finding sentence(String text) {
    return say(Block.paragraph(text));
  }

  /**
   * Shows a finding only in readings of such a depth.
   *
   * @param depth how deep a reading must go to show it
   * @return the finding
   */
  default Finding at(Depth depth) {
    return new AtDepth(this, depth);
  }
}
