package dev.tavik.cli;

import dev.tavik.count.Names;
import dev.tavik.data.DataException;
import dev.tavik.report.Visible;
import java.io.PrintWriter;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jline.reader.Candidate;
import org.jline.reader.Completer;
import org.jline.reader.EndOfFileException;
import org.jline.reader.LineReader;
import org.jline.reader.LineReaderBuilder;
import org.jline.reader.UserInterruptException;
import org.jline.reader.impl.DefaultParser;
import org.jline.terminal.Terminal;

/** Questions that a person answers at a terminal, one by one; what can't be used is asked again. */
final class Dialogue {
  private static final String PROMPT = "> ";

  /** The person left, by Ctrl-C or by ending the input. */
  static final class LeftException extends RuntimeException {
    private static final long serialVersionUID = 1L;
  }

  /**
   * An option to choose.
   *
   * @param name what is typed for it, where the number isn't
   * @param meaning what it means
   */
  record Choice(String name, String meaning) {}

  private final LineReader reader;
  private final PrintWriter out;
  private final int width;
  private List<String> offered = List.of();

  Dialogue(Terminal terminal, int width) {
    DefaultParser words = new DefaultParser();
    words.setEofOnUnclosedQuote(false);
    words.setEscapeChars(new char[0]);
    Completer names =
        (line, parsed, found) -> offered.forEach(each -> found.add(new Candidate(each)));
    this.reader =
        LineReaderBuilder.builder()
            .terminal(terminal)
            .parser(words)
            .completer(names)
            .option(LineReader.Option.DISABLE_EVENT_EXPANSION, true)
            .variable(LineReader.DISABLE_HISTORY, true)
            .variable(LineReader.BELL_STYLE, "none")
            .build();
    this.out = terminal.writer();
    this.width = width;
  }

  /** Says something, in lines that fit. */
  void say(String text) {
    StringBuilder line = new StringBuilder();
    for (String word : Visible.of(text).split(" ")) {
      if (!line.isEmpty() && Visible.width(line.toString()) + 1 + Visible.width(word) > width) {
        out.println(line);
        line.setLength(0);
      }
      line.append(line.isEmpty() ? "" : " ").append(word);
    }
    out.println(line);
    out.flush();
  }

  /** Warns of a likely mistake. */
  void warn(String text) {
    say("! " + text);
  }

  /**
   * Asks for something that is typed.
   *
   * @param question what is asked
   * @param read makes something of what is typed, or throws what is wrong with it
   * @param <T> what it makes
   */
  <T> T asked(String question, Function<String, T> read) {
    out.println();
    say(question);
    offered = List.of();
    return answered(read);
  }

  private <T> T answered(Function<String, T> read) {
    while (true) {
      try {
        return read.apply(line());
      } catch (IllegalArgumentException | DataException e) {
        warn(ended(String.valueOf(e.getMessage())));
      }
    }
  }

  private static String ended(String message) {
    return message.matches(".*[.?!]") ? message : message + ".";
  }

  private String line() {
    try {
      return reader.readLine(PROMPT).strip();
    } catch (UserInterruptException | EndOfFileException e) {
      throw new LeftException();
    }
  }

  /** Asks something that is answered by yes or no; only Enter takes what is usual. */
  boolean yes(String question, boolean usual) {
    return asked(
        question + (usual ? " (Y/n)" : " (y/N)"),
        typed ->
            switch (typed.toLowerCase(Locale.ROOT)) {
              case "" -> usual;
              case "y", "yes" -> true;
              case "n", "no" -> false;
              default -> throw new IllegalArgumentException("y or n is wanted, got " + typed);
            });
  }

  /** Asks to choose one; returns which, from 0. */
  int choice(String question, List<Choice> choices) {
    list(question, choices);
    return answered(typed -> number(typed, choices));
  }

  /** Asks to choose one or more, with commas between. */
  List<Integer> choices(String question, List<Choice> choices) {
    list(question, choices);
    return answered(
        typed -> {
          List<String> names = choices.stream().map(Choice::name).toList();
          // A name may have commas of its own.
          Stream<String> parts =
              names.contains(typed) ? Stream.of(typed) : Arrays.stream(typed.split(","));
          return parts.map(part -> number(part.strip(), choices)).distinct().toList();
        });
  }

  private void list(String question, List<Choice> choices) {
    offered = choices.stream().map(Choice::name).toList();
    int room = choices.stream().mapToInt(each -> Visible.width(each.name())).max().orElse(0);
    out.println();
    say(question);
    for (int i = 0; i < choices.size(); i++) {
      Choice each = choices.get(i);
      String gap = " ".repeat(room - Visible.width(each.name()) + 2);
      String line =
          String.format(Locale.ROOT, "  %2d  %s%s%s", i + 1, each.name(), gap, each.meaning());
      out.println(Visible.of(line).stripTrailing());
    }
    out.flush();
  }

  private static int number(String typed, List<Choice> choices) {
    List<String> names = choices.stream().map(Choice::name).toList();
    if (typed.matches("[1-9]\\d{0,5}") && !names.contains(typed)) {
      int number = Integer.parseInt(typed);
      if (number <= choices.size()) {
        return number - 1;
      }
      throw new IllegalArgumentException(
          "there are " + choices.size() + " to choose from, got " + typed);
    }
    List<String> same = Names.matching(typed, names);
    List<String> begun = names.stream().filter(name -> name.startsWith(typed)).toList();
    List<String> meant = same.isEmpty() && !typed.isEmpty() ? begun : same;
    if (meant.size() == 1) {
      return names.indexOf(meant.get(0));
    }
    throw new IllegalArgumentException(
        typed.isEmpty()
            ? "one of them is wanted"
            : "there is no " + typed + Names.hint(typed, names));
  }
}
