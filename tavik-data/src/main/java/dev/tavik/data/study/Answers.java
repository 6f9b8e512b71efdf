package dev.tavik.data.study;

import dev.tavik.count.CrossTable;
import dev.tavik.count.Tabulation;
import dev.tavik.study.sweep.SweepQuestion;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Several answers in one field, such as {@code ash;iron}: a unit may have given each of them. */
record Answers(QuestionArguments spec, String separator) {
  Answers {
    spec.check(!separator.isEmpty(), "{split} must be what stands between answers, such as ';'");
    spec.check(
        !spec.has("merge"), "{merge} doesn't go with {split}; name all answers with {success}");
  }

  /** Returns the answers in one field. */
  private List<String> parts(String field) {
    return Arrays.stream(field.split(Pattern.quote(separator)))
        .map(String::strip)
        .filter(part -> !part.isEmpty())
        .toList();
  }

  /** Refuses a separator that occurs nowhere, which may be mistyped. */
  void requireSome(List<String> fields, String column) {
    spec.check(
        fields.stream().anyMatch(field -> field.contains(separator)),
        "{split}: no value of %s holds a '%s'; leave it out, or give what stands between answers",
        column,
        separator);
  }

  /** All answers in some fields, as they first appear. */
  List<String> in(List<String> fields) {
    Set<String> all = new LinkedHashSet<>();
    fields.forEach(field -> all.addAll(parts(field)));
    return List.copyOf(all);
  }

  /** The groups that are a tabulation's second column by whether an answer was given. */
  CrossTable given(Tabulation counted, String answer) {
    List<List<Long>> cells = new ArrayList<>();
    List<String> groups = counted.levels(1);
    for (String group : groups) {
      long named = 0;
      long others = 0;
      for (Map.Entry<List<String>, Long> each : counted.counts().entrySet()) {
        if (each.getKey().get(1).equals(group)) {
          boolean given = parts(each.getKey().get(0)).contains(answer);
          named += given ? each.getValue() : 0;
          others += given ? 0 : each.getValue();
        }
      }
      cells.add(List.of(named, others));
    }
    return new CrossTable(groups, List.of(SweepQuestion.NAMED, SweepQuestion.NOT_NAMED), cells);
  }

  /** The fields that hold one of some answers. */
  Set<String> holding(List<String> fields, Set<String> wanted) {
    return fields.stream()
        .filter(field -> parts(field).stream().anyMatch(wanted::contains))
        .collect(Collectors.toCollection(LinkedHashSet::new));
  }
}
