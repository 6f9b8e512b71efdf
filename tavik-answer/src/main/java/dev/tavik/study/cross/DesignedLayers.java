package dev.tavik.study.cross;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.Block;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Cells;
import dev.tavik.answer.Finding;
import dev.tavik.answer.SubAnswers;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.phrase.RefusalPhrases;
import dev.tavik.phrase.TableVerdicts;
import dev.tavik.phrase.TestCautions;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.Observed;
import dev.tavik.survey.DesignedSample;
import java.util.ArrayList;
import java.util.List;

/** Puts the answers about a table within each level of a third column together. */
final class DesignedLayers {
  private final CrossQuestion question;
  private final DesignFindings design;
  private final List<Answer> layers = new ArrayList<>();
  private final List<String> without = new ArrayList<>();

  DesignedLayers(CrossQuestion question, CrossSample.Designed counted, DesignedSample sample) {
    this.question = question;
    this.design = new DesignFindings(sample);
    for (String layer : counted.counts().units().levels(2)) {
      try {
        layers.add(DesignedCrossMethods.layer(question, counted, sample, layer));
      } catch (NotApplicableException e) {
        without.add(layer + " (" + RefusalPhrases.of(e) + ")");
      }
    }
    if (layers.isEmpty()) {
      throw new NotApplicableException(NotApplicableReason.NO_LAYER, without);
    }
  }

  Answer answer() {
    AnswerBuilder answer =
        DesignedCrossMethods.asked(question, question.label())
            .begin(Value.fields())
            .add(design.fact())
            .addAll(Observed.source(question.from()))
            .add(design.sentence())
            .add(new SubAnswers("layers", layers.stream().map(Answer::label).toList(), layers));
    layers.forEach(layer -> add(layer, answer));
    answer.add(
        Finding.sentence(
            "A common odds ratio and its test (mantel-haenszel) are of simple random samples; by a"
                + " design each layer is asked by itself."));
    if (!without.isEmpty()) {
      answer.add(Finding.sentence("Without an answer: " + String.join("; ", without) + "."));
    }
    return answer.conditions(design.conditions()).cautions(cautions()).concluded(conclusion());
  }

  private static void add(Answer layer, AnswerBuilder to) {
    to.add(Finding.say(Block.heading(layer.label())));
    to.add(Finding.sentence(layer.verdict().sentence()));
    layer.findings().stream()
        .filter(each -> each instanceof Cells || each instanceof Tests)
        .forEach(each -> to.add(Finding.say(each.reading().toArray(Block[]::new))));
  }

  private List<Caution> cautions() {
    List<Caution> cautions =
        design.cautions(unit -> true, "rows that were counted", question.from());
    if (layers.size() > 1) {
      cautions.add(TestCautions.manyTables(layers.size(), question.settings().alpha()));
    }
    return cautions;
  }

  private Verdict conclusion() {
    return TableVerdicts.layers(
        question.label(),
        layers.stream()
            .filter(each -> each.verdict().decision() == Verdict.Decision.REJECTED)
            .map(Answer::label)
            .toList(),
        layers.size(),
        layers.stream()
            .filter(each -> each.verdict().test().isPresent())
            .map(each -> each.test().method().id())
            .findFirst()
            .orElse("no"),
        question.settings().alpha());
  }
}
