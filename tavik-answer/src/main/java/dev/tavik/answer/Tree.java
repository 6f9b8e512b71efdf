package dev.tavik.answer;

/** Puts the figures of an answer in the order in which machines find them. */
final class Tree {
  private Tree() {}

  static Value.Fields of(Answer answer, Detail detail) {
    Value.Fields tree =
        Value.answer().with("question", answer.kind()).with("label", answer.label());
    if (answer.find(Failure.class).isPresent()) {
      return tree.with("error", answer.find(Failure.class).orElseThrow().figures());
    }
    answer.findings().stream()
        .filter(each -> !each.last() || each instanceof SimulationFinding)
        .sorted((one, other) -> Boolean.compare(one.last(), other.last()))
        .forEach(each -> add(tree, each, detail));
    if (!answer.conditions().isEmpty() && answer.find(SubAnswers.class).isEmpty()) {
      tree.with(
          "conditions",
          Value.list(
              answer.conditions(),
              each ->
                  Value.fields()
                      .with("name", each.name())
                      .with(
                          "met",
                          switch (each.state()) {
                            case MET -> new Value.Flag(true);
                            case NOT_MET -> new Value.Flag(false);
                            case NOT_IN_THE_DATA -> Value.none();
                          })
                      .with("detail", each.detail())));
    }
    tree.with(
        "cautions",
        Value.list(
            answer.cautions(),
            each -> Value.fields().with("code", each.code().id()).with("message", each.message())));
    answer.findings().stream()
        .filter(each -> each.last() && !(each instanceof SimulationFinding))
        .forEach(each -> add(tree, each, detail));
    return tree.with("conclusion", answer.verdict().sentence());
  }

  private static void add(Value.Fields tree, Finding finding, Detail detail) {
    boolean wanted = finding.depth() != Depth.WORKING || detail == Detail.WORKING;
    if (wanted && !finding.key().isEmpty()) {
      tree.with(
          finding.key(),
          finding instanceof SubAnswers parts ? parts.figures(detail) : finding.figures());
    }
  }
}
