package dev.tavik.data;

import dev.tavik.count.Tabulation;
import dev.tavik.count.Tally;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Proportion;
import dev.tavik.study.CountedFrom;
import dev.tavik.study.Question;
import dev.tavik.study.RateByGroupQuestion;
import dev.tavik.study.RateQuestion;
import dev.tavik.study.RateSettings;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * Makes a rate question from its words. The counts come from one or more tallies, {@code 14/400} or
 * {@code North=14/400}, or from a file.
 */
public final class RateSpec {
  /** The words that a rate question understands. */
  public static final Set<String> WORDS =
      Set.of(
          "label",
          "tally",
          "data",
          "outcome",
          "success",
          "group",
          "count",
          "where",
          "missing",
          "against",
          "alternative",
          "lot",
          "alpha",
          "level",
          "tests",
          "intervals",
          "working");

  private static final String[] OF_A_FILE = {
    "outcome", "success", "group", "count", "where", "missing"
  };

  private final Spec spec;
  private final Opening opening;

  private RateSpec(Spec spec, Opening opening) {
    this.spec = spec;
    this.opening = opening;
  }

  /**
   * Makes the question. Everything that the words alone can get wrong is refused before a file is
   * opened.
   *
   * @param spec the words
   * @param opening how a file is opened
   * @return a question about one rate or about several
   * @throws SpecException if the words make no question
   * @throws IllegalArgumentException if a value is out of its range
   * @throws DataException if the file can't be read or lacks what is asked for
   */
  public static Question question(Spec spec, Opening opening) {
    return new RateSpec(spec, opening).question();
  }

  private Question question() {
    spec.requireWith("data", OF_A_FILE);
    boolean inline = spec.has("tally");
    if (inline && spec.has("data")) {
      throw new SpecException(
          "counts come from a tally or from "
              + spec.name("data")
              + ", not from both; leave one out");
    }
    if (!inline && !spec.has("data")) {
      throw new SpecException(
          "nothing to count: give a tally such as 14/400, or "
              + spec.name("data")
              + " with "
              + spec.name("outcome")
              + " and "
              + spec.name("success"));
    }
    RateSettings settings = settings();
    return inline ? fromTallies(settings) : fromFile(settings);
  }

  private RateSettings settings() {
    String against =
        spec.required(
            "against", "the value that the rate is held against, such as 0.05, 5% or 1/20");
    RateSettings settings = RateSettings.against(Proportion.parse(spec.name("against"), against));
    String alternative = spec.text("alternative");
    if (alternative != null) {
      settings = settings.alternative(Alternative.of(alternative));
    }
    String alpha = spec.text("alpha");
    if (alpha != null) {
      settings = settings.alpha(Proportion.parse(spec.name("alpha"), alpha));
    }
    String level = spec.text("level");
    if (level != null) {
      settings = settings.level(Proportion.parse(spec.name("level"), level));
    }
    if (spec.has("tests")) {
      settings = settings.tests(methods("tests", ProportionTest.values(), ProportionTest::id));
    }
    if (spec.has("intervals")) {
      settings =
          settings.intervals(
              methods("intervals", ProportionInterval.values(), ProportionInterval::id));
    }
    String lot = spec.text("lot");
    if (lot != null) {
      if (!lot.matches("\\d{1,13}")) {
        throw new SpecException(
            spec.name("lot") + " must be a whole number of units, got '" + lot + "'");
      }
      settings = settings.lot(Long.parseLong(lot));
    }
    if (spec.has("working") && !settings.hasWorking()) {
      throw new SpecException(
          spec.name("working")
              + " shows z tests and closed-form intervals for trials without end; leave one among "
              + spec.name("tests")
              + " or "
              + spec.name("intervals")
              + ", such as score or wilson");
    }
    return settings;
  }

  private <M> List<M> methods(String word, M[] all, Function<M, String> id) {
    List<String> ids = new ArrayList<>();
    for (M method : all) {
      ids.add(id.apply(method));
    }
    List<M> chosen = new ArrayList<>();
    for (String wanted : spec.list(word)) {
      if (wanted.equals("all")) {
        chosen.addAll(List.of(all));
      } else if (ids.contains(wanted)) {
        chosen.add(all[ids.indexOf(wanted)]);
      } else {
        throw new SpecException(
            spec.name(word) + " has no '" + wanted + "'" + Names.hint(wanted, ids) + ", all");
      }
    }
    return chosen;
  }

  private Question fromTallies(RateSettings settings) {
    Map<String, Tally> groups = new LinkedHashMap<>();
    for (String written : spec.all("tally")) {
      int equals = written.lastIndexOf('=');
      String label = equals < 0 ? "" : written.substring(0, equals).strip();
      if (groups.put(label, Tally.parse(written.substring(equals + 1))) != null) {
        throw new SpecException(
            label.isEmpty()
                ? "several tallies need names, such as North=14/400 South=31/410"
                : "two tallies are called '" + label + "'; give them different names");
      }
    }
    if (groups.size() > 1 && groups.containsKey("")) {
      throw new SpecException("several tallies need names, such as North=14/400 South=31/410");
    }
    if (groups.size() > 1) {
      return RateByGroupQuestion.of(groups, settings).labelled(label(""));
    }
    Map.Entry<String, Tally> only = groups.entrySet().iterator().next();
    return RateQuestion.of(only.getValue(), settings).labelled(label(only.getKey()));
  }

  private Question fromFile(RateSettings settings) {
    String outcome = spec.required("outcome", "the column that says what became of each unit");
    if (!spec.has("success")) {
      throw new SpecException(
          spec.name("success")
              + " is needed: the level or levels of "
              + outcome
              + " that count as success");
    }
    @Nullable String group = spec.text("group");
    @Nullable String frequency = spec.text("count");
    CountRequest request =
        (group == null ? CountRequest.of(outcome) : CountRequest.of(outcome, group))
            .frequency(frequency)
            .missing(missing());
    List<String> filters = spec.all("where");
    for (String filter : filters) {
      int equals = filter.indexOf('=');
      if (equals <= 0) {
        throw new SpecException(spec.name("where") + " must be COLUMN=VALUE, got '" + filter + "'");
      }
      request =
          request.where(filter.substring(0, equals).strip(), filter.substring(equals + 1).strip());
    }
    requireDifferent(outcome, group, frequency);
    String data = spec.required("data", "a file with a header line");
    Tabulation counts = DelimitedText.of(data, opening).count(request);
    return fromCounts(counts, settings, frequency, filters);
  }

  private Missing missing() {
    String policy = spec.text("missing");
    return policy == null ? Missing.DROP : Missing.of(policy);
  }

  private void requireDifferent(
      String outcome, @Nullable String group, @Nullable String frequency) {
    if (outcome.equals(group) || outcome.equals(frequency)) {
      throw new SpecException(
          spec.name("outcome")
              + " and "
              + spec.name(outcome.equals(group) ? "group" : "count")
              + " must be different columns, got '"
              + outcome
              + "' for both");
    }
    if (group != null && group.equals(frequency)) {
      throw new SpecException(
          spec.name("group")
              + " and "
              + spec.name("count")
              + " must be different columns, got '"
              + group
              + "' for both");
    }
  }

  private Question fromCounts(
      Tabulation counts, RateSettings settings, @Nullable String frequency, List<String> filters) {
    if (counts.total() == 0) {
      throw new DataException(
          DataException.Code.EMPTY,
          counts.source()
              + ": nothing is left to count; "
              + counts.rows()
              + " rows were read, but all lack a value, have a frequency of 0 or were filtered out");
    }
    Set<String> success = success(counts);
    CountedFrom from = CountedFrom.of(counts, List.copyOf(success), frequency, filters);
    String label = label(from.outcome() + " " + String.join(" or ", success));
    if (from.group() == null) {
      return RateQuestion.of(counts.tally(0, success), settings).labelled(label).countedFrom(from);
    }
    Map<String, Tally> groups = new LinkedHashMap<>();
    List<String> empty = new ArrayList<>();
    for (String level : counts.levels(1)) {
      Tabulation part = counts.where(1, level);
      if (part.total() == 0) {
        empty.add(level);
      } else {
        groups.put(level, part.tally(0, success));
      }
    }
    return new RateByGroupQuestion(label, groups, empty, settings, from);
  }

  /** The levels that count as success: each value as it stands, else split at commas. */
  private Set<String> success(Tabulation counts) {
    List<String> levels = counts.levels(0);
    Set<String> success = new LinkedHashSet<>();
    for (String written : spec.all("success")) {
      if (levels.contains(written.strip())) {
        success.add(written.strip());
      } else {
        for (String part : written.split(",", -1)) {
          success.add(level(part.strip(), levels, counts));
        }
      }
    }
    return success;
  }

  private static String level(String typed, List<String> levels, Tabulation counts) {
    List<String> matching = Names.matching(typed, levels);
    if (matching.size() == 1) {
      return matching.get(0);
    }
    String column = counts.columns().get(0);
    throw new DataException(
        DataException.Code.LEVEL,
        matching.isEmpty()
            ? String.format(
                "%s: column %s has no level '%s'%s. If it simply never occurred, give the tally"
                    + " itself: 0/%d",
                counts.source(), column, typed, Names.hint(typed, levels), counts.total())
            : String.format(
                "%s: column %s has several levels that could be '%s': %s; write the one you mean"
                    + " exactly",
                counts.source(), column, typed, String.join(", ", matching)));
  }

  private String label(String otherwise) {
    String label = spec.text("label");
    return label == null ? otherwise : label;
  }
}
