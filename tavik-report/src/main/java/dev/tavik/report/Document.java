package dev.tavik.report;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Block;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Illustration;
import dev.tavik.answer.Value;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;

/**
 * What is written: readers see chapters, one an answer, machines its figures.
 *
 * @param title what it is about, in words; may be empty
 * @param chapters the answers
 * @param figures what machines see, worked out when it is asked for
 */
record Document(String title, List<Chapter> chapters, Supplier<Value.Fields> figures) {

  /** One answer. */
  static Document of(Answer answer, Detail detail, List<Illustration> pictures) {
    String title = answer.label().isEmpty() ? answer.kind() : answer.label();
    return new Document(
        title,
        List.of(new Chapter("", answer, labelled(answer, detail), pictures)),
        () -> answer.figures(detail));
  }

  /** An answer's reading, under its label where the verdict doesn't begin with it. */
  private static List<Block> labelled(Answer answer, Detail detail) {
    List<Block> blocks = new ArrayList<>();
    if (!answer.label().isEmpty() && !answer.verdict().text().startsWith(answer.label())) {
      blocks.add(new Block.Strong(answer.label()));
      blocks.add(new Block.Gap());
    }
    blocks.addAll(answer.reading(detail));
    return blocks;
  }

  /** What to be careful of over all answers to a study. */
  static List<Block> careful(List<Caution> cautions) {
    List<Block> blocks = new ArrayList<>();
    if (!cautions.isEmpty()) {
      blocks.add(Block.heading("Cautions"));
      cautions.forEach(each -> blocks.add(Block.paragraph(each.message(), Block.Style.WARNING)));
    }
    return blocks;
  }

  /** What is in a file of data. */
  static Document of(Overview overview) {
    return new Document(
        overview.overview().source(),
        List.of(new Chapter("", null, overview.blocks(), List.of())),
        overview::figures);
  }

  /** Returns everything that readers see, one block after another. */
  List<Block> blocks() {
    return chapters.stream().flatMap(chapter -> chapter.blocks().stream()).toList();
  }
}
