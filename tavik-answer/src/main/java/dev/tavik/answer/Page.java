package dev.tavik.answer;

import static dev.tavik.result.Figures.say;

import dev.tavik.result.Figures;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Orders what readers see of an answer: verdict, findings, assumptions, cautions, calculation by
 * hand.
 */
final class Page {
  private static final int MOST_NAMED = 6;

  private final Answer answer;
  private final Detail detail;
  private final boolean cut;
  private final List<Block> blocks = new ArrayList<>();

  Page(Answer answer, Detail detail) {
    this.answer = answer;
    this.detail = detail;
    this.cut =
        detail == Detail.FINDINGS
            && answer.findings().stream().anyMatch(each -> each.depth() == Depth.CUT);
  }

  List<Block> blocks() {
    if (answer.find(Failure.class).isEmpty()) {
      blocks.add(new Block.Strong(answer.verdict().sentence()));
    }
    answer.findings().stream()
        .filter(each -> !each.last() && wanted(each.depth()))
        .forEach(each -> blocks.addAll(each.reading()));
    if (!answer.verdict().grounds().isEmpty()) {
      blocks.add(new Block.Gap());
      blocks.add(Block.paragraph(answer.verdict().grounds(), Block.Style.PLAIN));
    }
    conditions();
    cautions();
    if (detail == Detail.WORKING) {
      addWorking();
    }
    drawn(answer);
    answer.parts().forEach(this::drawn);
    return blocks;
  }

  /** The working alone. */
  List<Block> working() {
    addWorking();
    return blocks;
  }

  private boolean wanted(Depth depth) {
    return switch (depth) {
      case ALWAYS -> true;
      case CUT -> cut;
      case WHOLE -> !cut;
      case WORKING -> detail == Detail.WORKING;
    };
  }

  private void conditions() {
    if (answer.conditions().isEmpty()) {
      return;
    }
    blocks.add(Block.heading("Assumptions"));
    List<Condition> failed =
        answer.conditions().stream()
            .filter(each -> each.state() == Condition.State.NOT_MET)
            .toList();
    boolean summed = cut && failed.size() > 1;
    if (summed) {
      Condition first = failed.get(0);
      add(
          new Condition(
              first.name(),
              first.state(),
              say("%s; likewise for %s more", first.detail(), Figures.count(failed.size() - 1))));
    }
    answer.conditions().stream()
        .filter(each -> !(summed && each.state() == Condition.State.NOT_MET))
        .forEach(this::add);
  }

  private void add(Condition condition) {
    blocks.add(
        Block.paragraph(
            condition.name() + ": " + condition.detail() + ".",
            switch (condition.state()) {
              case MET -> Block.Style.MET;
              case NOT_MET -> Block.Style.NOT_MET;
              case NOT_IN_THE_DATA -> Block.Style.NOT_TESTABLE;
            }));
  }

  private void cautions() {
    List<Caution> cautions = new ArrayList<>(answer.cautions());
    cautions.addAll(ofParts());
    if (!cautions.isEmpty()) {
      blocks.add(Block.heading("Cautions"));
      cautions.forEach(each -> blocks.add(Block.paragraph(each.message(), Block.Style.WARNING)));
    }
  }

  /** The cautions of all parts; a caution in the same words for several parts names them once. */
  private List<Caution> ofParts() {
    Map<Caution, List<Named>> alike = new LinkedHashMap<>();
    for (SubAnswers parts : answer.findAll(SubAnswers.class)) {
      for (int i = 0; i < parts.answers().size(); i++) {
        for (Caution each : parts.answers().get(i).cautions()) {
          alike
              .computeIfAbsent(new Caution(each.code(), each.ofSeveral()), key -> new ArrayList<>())
              .add(new Named(parts.names().get(i), each));
        }
      }
    }
    return alike.entrySet().stream().map(each -> together(each.getKey(), each.getValue())).toList();
  }

  private Caution together(Caution caution, List<Named> members) {
    List<String> names = members.stream().map(Named::name).toList();
    return new Caution(
        caution.code(),
        say(
            "%s: %s",
            Figures.some(names, cut ? MOST_NAMED : names.size()),
            names.size() == 1 ? members.get(0).caution().message() : caution.message()));
  }

  /** A caution of a part, with the part's name. */
  private record Named(String name, Caution caution) {}

  private void addWorking() {
    answer.findings().stream()
        .filter(each -> each.last() && !(each instanceof SimulationFinding))
        .forEach(each -> blocks.addAll(each.reading()));
    for (Finding finding : answer.findings()) {
      if (finding instanceof SubAnswers parts) {
        for (int i = 0; i < parts.answers().size(); i++) {
          Answer part = parts.answers().get(i);
          blocks.add(Block.heading(parts.names().get(i)));
          part.find(Workings.class).ifPresent(each -> blocks.addAll(each.reading()));
        }
      }
    }
  }

  private void drawn(Answer of) {
    of.find(SimulationFinding.class).ifPresent(each -> blocks.addAll(each.reading()));
  }
}
