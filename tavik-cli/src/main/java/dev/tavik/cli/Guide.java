package dev.tavik.cli;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import dev.tavik.cli.Dialogue.Choice;
import dev.tavik.count.DataOverview;
import dev.tavik.count.DataOverview.Column;
import dev.tavik.count.Tally;
import dev.tavik.data.SourceOpener;
import dev.tavik.data.study.QuestionArguments;
import dev.tavik.data.study.QuestionKind;
import dev.tavik.result.Figures;
import dev.tavik.result.Proportion;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Puts a question together by asking for its parts in the order of the work: what there is, what is
 * to be known, what counts, against what, in which direction, how strictly. It warns at the step
 * where a slip happens.
 */
final class Guide {
  private static final int MOST_SHOWN = 4;
  private static final double USUAL_ALPHA = 0.05;

  /** A value that is so many times below what is seen is more likely a slip of the percent sign. */
  private static final double SLIP = 20;

  private static final Choice RATE =
      new Choice("rate", "is one rate different from a value, such as a target?");
  private static final Choice COMPARE = new Choice("compare", "do groups differ, and by how much?");
  private static final Choice SHARES =
      new Choice("shares", "do the categories follow claimed shares?");
  private static final Choice CROSS = new Choice("cross", "are two classifications associated?");

  private final Dialogue dialogue;
  private final SourceOpener files;

  Guide(Dialogue dialogue, SourceOpener files) {
    this.dialogue = dialogue;
    this.files = files;
  }

  /** Asks for all parts; returns the question. */
  Guided question() {
    return switch (dialogue.choice(
        "What do you have?",
        List.of(
            new Choice("file", "rows in a file: a row for each unit, or with a column of counts"),
            new Choice("counts", "so many of so many, in your head or on paper"),
            new Choice("table", "a two-way table in a file, with names at its edges")))) {
      case 0 -> ofFile();
      case 1 -> ofCounts();
      default -> ofTable();
    };
  }

  private Choice wanted(Choice... choices) {
    return choices[dialogue.choice("What do you want to know?", List.of(choices))];
  }

  // Counts

  private Guided ofCounts() {
    Choice wanted = wanted(RATE, COMPARE, SHARES);
    if (wanted.equals(SHARES)) {
      return shares();
    }
    if (wanted.equals(COMPARE)) {
      return groups();
    }
    Tally tally = dialogue.asked("How many of how many, such as 14/400?", Tally::parse);
    Guided rate = new Guided("rate", "tally").with("tally", tally.toString());
    return alpha(held(rate, Optional.of(tally)));
  }

  private Guided groups() {
    List<String> groups = new ArrayList<>();
    List<Tally> tallies = new ArrayList<>();
    String last = "";
    while (groups.size() < 2 || !last.isEmpty()) {
      String end = groups.size() < 2 ? "" : "; only Enter when there are no more";
      last =
          dialogue.asked(
              say("Group %s, such as North=14/400%s:", groups.size() + 1, end),
              typed -> other(group(typed, groups.size() >= 2), groups));
      if (!last.isEmpty()) {
        groups.add(last);
        tallies.add(Tally.parse(last.substring(last.lastIndexOf('=') + 1)));
      }
    }
    Guided compare = new Guided("compare", "tally").with("tally", groups);
    List<String> names = groups.stream().map(Guide::named).toList();
    return alpha(direction(compare, names, tallies));
  }

  /** Groups have different names. */
  private static String other(String typed, List<String> groups) {
    String name = named(typed);
    require(
        typed.isEmpty() || groups.stream().noneMatch(each -> named(each).equals(name)),
        "there is a group %s already; give this one another name",
        name);
    return typed;
  }

  private static String named(String group) {
    return group.replaceFirst("=[^=]*$", "").strip();
  }

  private static String group(String typed, boolean enough) {
    if (typed.isEmpty() && enough) {
      return typed;
    }
    int sign = typed.lastIndexOf('=');
    require(sign > 0, "a name and a tally are wanted, such as North=14/400, got '%s'", typed);
    Tally.parse(typed.substring(sign + 1));
    return typed;
  }

  private Guided shares() {
    List<String> counts =
        dialogue.asked(
            "The counts with their names, such as ash=31 celadon=22 iron=17:",
            typed -> {
              List<String> each = List.of(typed.split("[\\s,;]+"));
              require(
                  each.size() > 1 && each.stream().allMatch(one -> one.matches("[^=]+=\\d+")),
                  "two or more of NAME=COUNT are wanted, got '%s'",
                  typed);
              require(
                  each.stream().map(Guide::named).distinct().count() == each.size(),
                  "the names must be different, got '%s'",
                  typed);
              return each;
            });
    List<String> names = counts.stream().map(each -> each.replaceFirst("=.*", "")).toList();
    return alpha(claimed(new Guided("shares", "counts").with("counts", counts), names));
  }

  private Guided claimed(Guided shares, List<String> names) {
    String against =
        dialogue.asked(
            say(
                "Against which shares of %s: equal, or one for each, such as 40%%,30%%,30%% or"
                    + " 4:3:3?",
                String.join(", ", names)),
            typed -> {
              require(
                  typed.equals("equal") || typed.split("[,:]").length == names.size(),
                  "%d shares are wanted, or equal, got '%s'",
                  names.size(),
                  typed);
              return typed;
            });
    return shares.with("against", against);
  }

  // A table

  private Guided ofTable() {
    DataOverview table = overview("The table's file:", 0);
    Choice wanted = wanted(CROSS, COMPARE);
    Guided question =
        new Guided(wanted.name(), wanted.equals(CROSS) ? "" : "tally")
            .with("table", table.source());
    if (wanted.equals(COMPARE)) {
      List<Choice> columns =
          table.columns().stream().skip(1).map(each -> new Choice(each.name(), "")).toList();
      int success = dialogue.choice("Which column holds the successes?", columns);
      question.with("success", columns.get(success).name());
    }
    return alpha(question);
  }

  // A file

  private Guided ofFile() {
    DataOverview file = overview("Its name:", 1);
    String size = Figures.counted(file.rows(), "row", "rows");
    dialogue.say(say("%s, %s, %s.", size, columns(file), file.layout()));
    Optional<Column> frequency = frequency(file);
    long left = classes(file).filter(each -> !frequency.equals(Optional.of(each))).count();
    Choice wanted = left > 1 ? wanted(RATE, COMPARE, CROSS, SHARES) : wanted(RATE, SHARES);
    Guided question = new Guided(wanted.name(), "").with("data", file.source());
    Predicate<Column> usable = column -> !frequency.equals(Optional.of(column));
    if (wanted.equals(CROSS)) {
      Column rows = column(file, "Which column makes the rows?", usable);
      Column columns =
          column(file, "Which makes the columns?", usable.and(each -> !each.equals(rows)));
      question.with("rows", rows.name()).with("columns", columns.name());
      return alpha(counted(question, frequency));
    }
    Column outcome = column(file, "Which column says what became of each unit?", usable);
    question.with("outcome", outcome.name());
    if (wanted.equals(SHARES)) {
      List<String> order = List.copyOf(outcome.levels().keySet());
      question.with("order", listed(order));
      return alpha(claimed(counted(question, frequency), order));
    }
    List<String> success = success(outcome);
    question.with("success", listed(success));
    counted(question, frequency);
    weighted(file, question);
    if (wanted.equals(COMPARE)) {
      Column group =
          column(file, "Which column are the groups?", usable.and(each -> !each.equals(outcome)));
      return alpha(baseline(question.with("group", group.name()), group));
    }
    return alpha(held(question, frequency.isPresent() ? Optional.empty() : seen(outcome, success)));
  }

  /** Which group the others are held against also says what a direction means. */
  private Guided baseline(Guided question, Column group) {
    List<String> levels = List.copyOf(group.levels().keySet());
    List<Choice> choices = new ArrayList<>();
    group
        .levels()
        .forEach((level, rows) -> choices.add(new Choice(level, Figures.count(rows) + " rows")));
    boolean two = levels.size() == 2;
    if (!two) {
      choices.add(new Choice("all pairs", "each is compared with each"));
    }
    int chosen =
        dialogue.choice(
            two
                ? "Which group is the other compared with, such as the usual one?"
                : "Which group are the others compared with, such as the usual one?",
            choices);
    if (chosen == levels.size()) {
      return question;
    }
    question.with("baseline", levels.get(chosen));
    return two
        ? direction(question, List.of(levels.get(1 - chosen), levels.get(chosen)), List.of())
        : question;
  }

  /** What is in a file that has so many columns of categories at least. */
  private DataOverview overview(String question, int least) {
    return dialogue.asked(
        question,
        typed -> {
          QuestionArguments spec =
              new QuestionArguments(
                  Map.of("data", List.of(typed)), QuestionArguments.Wording.OPTION);
          DataOverview file = QuestionKind.overview(spec, files);
          require(
              classes(file).count() >= least,
              "%s has no column of categories; tavik look says what is in it",
              typed);
          return file;
        });
  }

  private static Stream<Column> classes(DataOverview file) {
    return file.columns().stream()
        .filter(column -> column.kind().classifies() && !column.name().isEmpty());
  }

  private static String columns(DataOverview file) {
    return file.columns().size() == 1 ? "1 column" : file.columns().size() + " columns";
  }

  private Optional<Column> frequency(DataOverview file) {
    return Suggestions.frequency(file)
        .filter(
            column ->
                dialogue.yes(
                    say("Does the column %s say how many units a row stands for?", column.name()),
                    true));
  }

  private static Guided counted(Guided question, Optional<Column> frequency) {
    frequency.ifPresent(column -> question.with("count", column.name()));
    return question;
  }

  private void weighted(DataOverview file, Guided question) {
    Suggestions.weight(file)
        .filter(
            column ->
                dialogue.yes(
                    say(
                        "The column %s looks like sampling weights. Do the rows stand for unequal"
                            + " numbers of people or units?",
                        column.name()),
                    true))
        .ifPresent(column -> question.with("design", "weight=" + column.name()));
  }

  private Column column(DataOverview file, String question, Predicate<Column> usable) {
    List<Column> columns = classes(file).filter(usable).toList();
    require(
        !columns.isEmpty(), "%s has no column of categories that is left for this", file.source());
    return columns.get(
        dialogue.choice(
            question,
            columns.stream().map(column -> new Choice(column.name(), levels(column))).toList()));
  }

  private static String levels(Column column) {
    String shown =
        column.levels().entrySet().stream()
            .limit(MOST_SHOWN)
            .map(level -> level.getKey() + " " + Figures.count(level.getValue()))
            .collect(Collectors.joining(", "));
    return column.levels().size() > MOST_SHOWN
        ? say("%s and %d more", shown, column.levels().size() - MOST_SHOWN)
        : shown;
  }

  private List<String> success(Column outcome) {
    List<String> levels = List.copyOf(outcome.levels().keySet());
    List<Choice> choices =
        outcome.levels().entrySet().stream()
            .map(each -> new Choice(each.getKey(), Figures.count(each.getValue()) + " rows"))
            .toList();
    while (true) {
      List<String> success =
          dialogue.choices("What counts as success? Several with commas between.", choices).stream()
              .map(levels::get)
              .toList();
      if (success.size() < levels.size()) {
        if (outcome.missing() > 0) {
          dialogue.warn(
              say(
                  "%s lacks a value in %s rows; these are left out and told.",
                  outcome.name(), Figures.count(outcome.missing())));
        }
        return success;
      }
      dialogue.warn("With every level a success the rate is 100%; leave one out.");
    }
  }

  /** Levels as a word takes them: one that has a comma of its own stands in quotes. */
  private static String listed(List<String> levels) {
    return levels.stream()
        .map(level -> level.contains(",") ? '"' + level + '"' : level)
        .collect(Collectors.joining(","));
  }

  private static Optional<Tally> seen(Column outcome, List<String> success) {
    long all = outcome.levels().values().stream().mapToLong(Long::longValue).sum();
    long successes =
        success.stream().mapToLong(level -> outcome.levels().getOrDefault(level, 0L)).sum();
    return Optional.of(Tally.of(successes, all));
  }

  // Against what, in which direction, how strictly

  private Guided held(Guided question, Optional<Tally> seen) {
    seen.ifPresent(
        tally ->
            dialogue.say(
                say(
                    "That is %s of %s, %s.",
                    Figures.count(tally.successes()),
                    Figures.count(tally.trials()),
                    Figures.percent(tally.proportion()))));
    while (true) {
      String against =
          dialogue.asked(
              "Against which value, such as 8% or 1/20? It is set before the data are seen.",
              typed -> {
                double value = Proportion.parse("the value", typed);
                require(value > 0 && value < 1, "it must be above 0 and below 1, got %s", typed);
                return typed;
              });
      double value = Proportion.parse("the value", against);
      boolean far = seen.filter(tally -> value * SLIP < tally.proportion()).isPresent();
      if (far) {
        dialogue.warn(
            say(
                "%s is %s in 10,000, far below what is seen.",
                against, Figures.plain(value * 10_000)));
      }
      if (!far || dialogue.yes("Is it meant so?", false)) {
        question.with("against", against);
        return direction(question, against, seen.map(tally -> tally.proportion() - value));
      }
    }
  }

  private Guided direction(Guided question, String against, Optional<Double> seen) {
    return directed(
        question,
        say("Is it to be shown that the rate differs from %s, or only one way?", against),
        List.of(
            new Choice("two-sided", "it differs, either way"),
            new Choice("less", "it is below " + against),
            new Choice("greater", "it is above " + against)),
        seen);
  }

  private Guided direction(Guided question, List<String> groups, List<Tally> tallies) {
    if (groups.size() != 2) {
      return question;
    }
    Optional<Double> seen =
        tallies.size() == 2
            ? Optional.of(tallies.get(0).proportion() - tallies.get(1).proportion())
            : Optional.empty();
    String first = groups.get(0);
    String second = groups.get(1);
    return directed(
        question,
        "Is it to be shown that they differ, or only one way?",
        List.of(
            new Choice("two-sided", "they differ, either way"),
            new Choice("less", say("%s is lower than %s", first, second)),
            new Choice("greater", say("%s is higher than %s", first, second))),
        seen);
  }

  private Guided directed(
      Guided question, String asked, List<Choice> choices, Optional<Double> seen) {
    String chosen = choices.get(dialogue.choice(asked, choices)).name();
    if (!chosen.equals("two-sided")) {
      double sign = chosen.equals("less") ? -1 : 1;
      if (seen.filter(difference -> difference * sign < 0).isPresent()) {
        dialogue.warn(
            "The observed difference is in the opposite direction, so this cannot be shown.");
      }
      if (!dialogue.yes("Was this direction decided before the data were seen?", true)) {
        dialogue.warn(
            "Then it was chosen by the data, and p would come out half as large as it is; two-sided"
                + " it is.");
        chosen = "two-sided";
      }
    }
    return question.with("alternative", chosen);
  }

  private Guided alpha(Guided question) {
    String alpha =
        dialogue.asked(
            "Which alpha, the chance of finding something where there is nothing? Only Enter for"
                + " 5%.",
            typed -> {
              double value = typed.isEmpty() ? USUAL_ALPHA : Proportion.parse("alpha", typed);
              require(
                  value < 0.5,
                  "alpha is small, such as 5%%; %s looks like a confidence level, whose alpha is"
                      + " %s",
                  typed,
                  Figures.plain(Math.round(1e6 * (1 - value)) / 1e4) + "%");
              require(value > 0, "alpha must be above 0, got %s", typed);
              return typed.isEmpty() ? "5%" : typed;
            });
    return question.with("alpha", alpha);
  }
}
