package dev.tavik.report;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Block;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Illustration;
import dev.tavik.answer.Origin;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * One answer of a document, with its pictures.
 *
 * @param heading what it is called; empty for the only one of its document
 * @param answer the answer; null where what is written is no answer
 * @param blocks what readers see
 * @param pictures its pictures
 */
record Chapter(
    String heading, @Nullable Answer answer, List<Block> blocks, List<Illustration> pictures) {

  /** One of several, with its number. */
  static Chapter of(Answer answer, Detail detail, int number, List<Illustration> pictures) {
    return new Chapter(heading(answer, number), answer, answer.reading(detail), pictures);
  }

  /** The heading of a chapter among several. */
  static String heading(Answer answer, int number) {
    return number + ". " + (answer.label().isEmpty() ? answer.kind() : answer.label());
  }

  /** What readers see before its pictures: the verdict and what was observed. */
  List<Block> before() {
    return blocks.subList(0, second());
  }

  /** What readers see after them. */
  List<Block> after() {
    return blocks.subList(second(), blocks.size());
  }

  private int second() {
    return IntStream.range(0, blocks.size())
        .filter(i -> blocks.get(i) instanceof Block.Heading)
        .skip(1)
        .findFirst()
        .orElse(blocks.size());
  }

  /** How the answer came about, where that is known. */
  Optional<Origin> origin() {
    return answer == null ? Optional.empty() : answer.find(Origin.class);
  }
}
