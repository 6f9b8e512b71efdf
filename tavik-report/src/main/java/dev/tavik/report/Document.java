package dev.tavik.report;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Block;
import dev.tavik.answer.Decision;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Illustration;
import dev.tavik.answer.Value;
import dev.tavik.result.Caution;
import dev.tavik.study.StudyAnswer;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * What is written: readers see chapters, one an answer, machines its figures.
 *
 * @param title what it is about, in words; may be empty
 * @param opening what stands before the chapters
 * @param chapters the answers
 * @param closing what stands after them
 * @param decisions the tests of a study
 * @param figures what machines see, worked out when it is asked for
 */
record Document(
    String title,
    List<Block> opening,
    List<Chapter> chapters,
    List<Block> closing,
    List<Decision> decisions,
    Supplier<Value.Fields> figures) {

  /** One answer. */
  static Document of(Answer answer, Detail detail, List<Illustration> pictures) {
    String title = answer.label().isEmpty() ? answer.kind() : answer.label();
    return new Document(
        title,
        List.of(),
        List.of(new Chapter("", answer, labelled(answer, detail), pictures)),
        List.of(),
        List.of(),
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

  /** The answers to a study. */
  static Document of(
      StudyAnswer study, Detail detail, Function<Answer, List<Illustration>> pictures) {
    List<Chapter> chapters = new ArrayList<>();
    for (Answer answer : study.answers()) {
      String label = answer.label().isEmpty() ? answer.kind() : answer.label();
      String heading = chapters.size() + 1 + ". " + label;
      chapters.add(new Chapter(heading, answer, answer.reading(detail), pictures.apply(answer)));
    }
    return new Document(
        study.title(),
        study.summary(),
        chapters,
        careful(study.cautions()),
        study.decisions(),
        () -> study.figures(detail));
  }

  private static List<Block> careful(List<Caution> cautions) {
    List<Block> blocks = new ArrayList<>();
    if (!cautions.isEmpty()) {
      blocks.add(Block.heading("Be careful"));
      cautions.forEach(each -> blocks.add(Block.paragraph(each.message(), Block.Manner.WARNING)));
    }
    return blocks;
  }

  /** What is in a file of data. */
  static Document of(Overview overview) {
    return new Document(
        overview.overview().source(),
        List.of(),
        List.of(new Chapter("", null, overview.blocks(), List.of())),
        List.of(),
        List.of(),
        overview::figures);
  }

  /** Returns everything that readers see, one block after another. */
  List<Block> blocks() {
    List<Block> blocks = new ArrayList<>();
    boolean several = chapters.stream().anyMatch(each -> !each.heading().isEmpty());
    if (several && !title.isEmpty()) {
      blocks.add(new Block.Strong(title));
    }
    blocks.addAll(opening);
    for (Chapter chapter : chapters) {
      if (several) {
        if (!blocks.isEmpty()) {
          blocks.add(new Block.Gap());
        }
        blocks.add(new Block.Strong(chapter.heading()));
        blocks.add(new Block.Gap());
      }
      blocks.addAll(chapter.blocks());
    }
    blocks.addAll(closing);
    return blocks;
  }
}
