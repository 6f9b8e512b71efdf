package dev.tavik.dist;

import dev.tavik.cli.Tavik;
import dev.tavik.cli.Terminal;
import dev.tavik.data.SourceOpener;
import dev.tavik.report.Report;
import dev.tavik.report.Screen;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import picocli.CommandLine;
import picocli.CommandLine.IHelpSectionRenderer;
import picocli.CommandLine.Model.ArgSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.Model.UsageMessageSpec;

/** Writes a manual page for each command and one for all, of the options that the commands have. */
public final class ManPages {
  private static final Map<String, String> STATUS = new LinkedHashMap<>();

  static {
    STATUS.put("0", "The question is answered.");
    STATUS.put("2", "The command line is wrong.");
    STATUS.put("3", "The data can't be read or used.");
    STATUS.put("4", "A fault in Tavik, or an answer that could not be written.");
    STATUS.put("10", "With --gate: a null is rejected, or what was to be shown is not.");
    STATUS.put("11", "With --gate: the data can't decide.");
  }

  private final CommandLine all;
  private final String date;

  private ManPages(CommandLine all, String date) {
    this.all = all;
    this.date = date;
  }

  /**
   * Writes the pages.
   *
   * @param arguments the folder they go to, and their date
   * @throws IOException if they can't be written
   */
  public static void main(String... arguments) throws IOException {
    PrintWriter nowhere = new PrintWriter(Writer.nullWriter());
    Tavik tavik =
        new Tavik(new Terminal(nowhere, nowhere, SourceOpener.ofFiles(), Screen.PLAIN, "tavik"));
    String date = arguments[1].substring(0, arguments[1].indexOf('T'));
    Path folder = Files.createDirectories(Path.of(arguments[0]));
    ManPages pages = new ManPages(tavik.everything(), date);
    for (Map.Entry<String, String> page : pages.written().entrySet()) {
      Files.writeString(folder.resolve(page.getKey()), page.getValue(), StandardCharsets.UTF_8);
    }
  }

  /** Returns the pages by the names of their files. */
  private Map<String, String> written() {
    Map<String, String> pages = new LinkedHashMap<>();
    pages.put("tavik.1", overview());
    all.getSubcommands()
        .forEach(
            (name, command) -> {
              if (!name.equals("help")) {
                pages.put("tavik-" + name + ".1", page(name, command));
              }
            });
    return pages;
  }

  private Roff begun(String name) {
    return new Roff(name, date, "tavik " + Report.version());
  }

  private String overview() {
    Roff page =
        begun("tavik")
            .section("Name")
            .paragraph("tavik - questions about proportions and counts, answered")
            .section("Synopsis")
            .term("tavik ", "COMMAND [OPTIONS]", "")
            .section("Description")
            .paragraph(words(all.getCommandSpec().usageMessage().description()))
            .section("Commands");
    all.getSubcommands()
        .forEach((name, command) -> page.term("tavik " + name, "", purpose(command)));
    page.section("Options");
    options(page, all.getCommandSpec().options());
    return ended(page, "tavik").toString();
  }

  private String page(String name, CommandLine command) {
    String synopsis = command.getHelp().synopsis(0).strip();
    Roff page =
        begun("tavik-" + name)
            .section("Name")
            .paragraph("tavik-" + name + " - " + purpose(command))
            .section("Synopsis")
            .paragraph(synopsis)
            .section("Options");
    for (ArgSpec positional : command.getCommandSpec().positionalParameters()) {
      page.term("", positional.paramLabel(), words(positional.description()));
    }
    byHeading(command).forEach((heading, options) -> options(page.under(heading), options));
    List<String> examples = examples(command);
    if (!examples.isEmpty()) {
      page.section("Examples").lines(examples);
    }
    return ended(page, name).toString();
  }

  /** The options under the headings that help shows them under. */
  private static Map<String, List<OptionSpec>> byHeading(CommandLine command) {
    Map<String, List<OptionSpec>> headings = new LinkedHashMap<>();
    IHelpSectionRenderer listing =
        command
            .getCommandSpec()
            .usageMessage()
            .sectionMap()
            .get(UsageMessageSpec.SECTION_KEY_OPTION_LIST);
    String text =
        listing == null ? command.getHelp().optionList() : listing.render(command.getHelp());
    String heading = "The answer";
    for (String line : text.lines().toList()) {
      if (line.matches("\\S.*:")) {
        heading = line.substring(0, line.length() - 1);
      }
      for (OptionSpec option : command.getCommandSpec().options()) {
        if (line.matches("  +(-\\w, )?" + option.longestName() + "([ =].*)?")) {
          headings.computeIfAbsent(heading, key -> new ArrayList<>()).add(option);
        }
      }
    }
    return headings;
  }

  private static void options(Roff page, List<OptionSpec> options) {
    for (OptionSpec option : options) {
      String names = String.join(", ", option.names());
      String value = option.arity().max() == 0 ? "" : "=" + option.paramLabel();
      page.term(names, value, words(option.description()));
    }
  }

  private static Roff ended(Roff page, String name) {
    page.section("Exit status");
    STATUS.forEach((status, meaning) -> page.term(status, "", meaning));
    return page.section("See also")
        .paragraph(name.equals("tavik") ? "tavik-rate(1), tavik-look(1)" : "tavik(1)");
  }

  private static List<String> examples(CommandLine command) {
    return Arrays.stream(command.getCommandSpec().usageMessage().footer())
        .filter(line -> line.startsWith("  "))
        .map(line -> line.replace("%%", "%"))
        .toList();
  }

  private static String purpose(CommandLine command) {
    return words(command.getCommandSpec().usageMessage().description());
  }

  private static String words(String... lines) {
    return Arrays.stream(lines)
        .map(line -> line.replace("%%", "%"))
        .collect(Collectors.joining(" "));
  }
}
