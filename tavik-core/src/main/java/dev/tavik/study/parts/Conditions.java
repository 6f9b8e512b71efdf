package dev.tavik.study.parts;

import dev.tavik.result.Condition;
import java.util.List;

/** The assumptions of several answers, together. */
public final class Conditions {
  private Conditions() {}

  /** Returns the conditions that a member doesn't meet, with its name. */
  public static List<Condition> failed(String member, List<Condition> conditions) {
    return conditions.stream()
        .filter(each -> each.state() == Condition.State.NOT_MET)
        .map(each -> new Condition(member + ", " + each.name(), each.state(), each.detail()))
        .toList();
  }

  /** Returns the conditions that data can't show. */
  public static List<Condition> yourCall(List<Condition> conditions) {
    return conditions.stream()
        .filter(each -> each.state() == Condition.State.NOT_IN_THE_DATA)
        .toList();
  }
}
