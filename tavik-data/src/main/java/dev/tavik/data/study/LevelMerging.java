package dev.tavik.data.study;

import static dev.tavik.result.Figures.say;

import dev.tavik.count.Names;
import dev.tavik.count.Tabulation;
import dev.tavik.data.DataException;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** Puts levels together, as {@code cracked+warped=damaged} says. */
record LevelMerging(QuestionArguments spec, Recodings recodings) {
  /**
   * Which levels are merged.
   *
   * @param levels the levels, two or more
   * @param name what they are called together
   */
  record Merged(List<String> levels, String name) {
    static Merged parse(String written, String word) {
      int equals = written.lastIndexOf('=');
      List<String> levels =
          List.of(written.substring(0, Math.max(0, equals)).split("\\+")).stream()
              .map(String::strip)
              .toList();
      String name = written.substring(equals + 1).strip();
      if (equals < 0 || levels.size() < 2 || name.isEmpty()) {
        throw new SpecException(
            word + " must be LEVEL+LEVEL=NAME, such as cracked+warped=bent, got '" + written + "'");
      }
      if (levels.stream().map(each -> each.toLowerCase(Locale.ROOT)).distinct().count()
          < levels.size()) {
        throw new SpecException(
            word + " must put different levels together, got one twice in '" + written + "'");
      }
      return new Merged(levels, name);
    }
  }

  /** Merges the levels in every column that has all of them; there must be one. */
  Tabulation applied(Tabulation counted) {
    Tabulation merged = counted;
    List<String> remarks = new ArrayList<>(counted.remarks());
    for (String written : spec.all("merge")) {
      Merged wanted = Merged.parse(written, spec.name("merge"));
      merged = applied(merged, wanted);
      remarks.add(say("%s are counted as %s", String.join(" and ", wanted.levels), wanted.name));
    }
    return merged.remarking(remarks);
  }

  /** A level, which may be written as the code that the codebook has for it. */
  private String meant(String written, String column, List<String> known) {
    return Names.matching(written, known).isEmpty()
        ? recodings
            .of(column)
            .filter(each -> each.names(written))
            .map(each -> String.valueOf(each.of(written)))
            .orElse(written)
        : written;
  }

  private Tabulation applied(Tabulation counted, Merged wanted) {
    Tabulation merged = counted;
    boolean found = false;
    Set<String> all = new LinkedHashSet<>();
    for (int column = 0; column < counted.columns().size(); column++) {
      List<String> known = counted.known().get(column);
      all.addAll(known);
      String name = counted.columns().get(column);
      List<String> meant = wanted.levels.stream().map(each -> meant(each, name, known)).toList();
      if (meant.stream().allMatch(each -> Names.matching(each, known).size() == 1)) {
        Set<String> levels = new LinkedHashSet<>();
        meant.forEach(each -> levels.add(Names.matching(each, known).get(0)));
        merged = merged.merged(counted.columns().get(column), levels, wanted.name);
        found = true;
      }
    }
    if (!found) {
      List<String> levels = List.copyOf(all);
      String lacking =
          wanted.levels.stream()
              .filter(each -> Names.matching(each, levels).size() != 1)
              .findFirst()
              .orElse(wanted.levels.get(0));
      throw new DataException(
          DataException.Code.LEVEL,
          levels.contains(lacking)
              ? say("%s: these levels are of different columns", spec.name("merge"))
              : say(
                  "%s: there is no level '%s'%s",
                  spec.name("merge"), lacking, Names.hint(lacking, levels)));
    }
    return merged;
  }
}
