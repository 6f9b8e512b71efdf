package dev.tavik.cli;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import dev.tavik.answer.ShellWord;
import dev.tavik.data.DemoFiles;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** The tour on the demo data. */
@Command(
    name = "demo",
    description = "A tour on the demo data of Harrowmere Tileworks, a made-up maker of tiles.",
    sortOptions = false,
    optionListHeading = "%n")
final class DemoCommand implements Callable<Integer> {
  /** A word of a command, in quotes where it has blanks. */
  private static final Pattern WORD = Pattern.compile("'([^']*)'|(\\S+)");

  private record Stop(String story, String command) {
    List<String> words() {
      return WORD.matcher(command)
          .results()
          .map(word -> word.group(1) == null ? word.group(2) : word.group(1))
          .toList();
    }
  }

  private static final List<Stop> TOUR =
      List.of(
          new Stop(
              "The firing log has one row for every tile inspected. What is in it?",
              "look --data demo/firing-log.csv"),
          new Stop(
              "Cracked and warped tiles are scrapped. The budget is 8% scrap. Is it more?",
              "rate --data demo/firing-log.csv --outcome grade --success cracked,warped"
                  + " --against 8% --alternative greater"),
          new Stop(
              "Over all kilns the budget seems to be kept. Is it kept in each?",
              "rate --data demo/firing-log.csv --outcome grade --success cracked,warped"
                  + " --against 8% --group kiln"),
          new Stop(
              "Do the kilns differ from one another? North is held against South, and so on.",
              "compare --data demo/firing-log.csv --outcome grade --success cracked,warped"
                  + " --group kiln"),
          new Stop(
              "Two inspectors graded the same tiles. Is one of them stricter?",
              "compare --paired --data demo/regrade.csv --outcome"
                  + " first_inspector,second_inspector --success crazed,cracked,warped --label"
                  + " 'Tiles not graded sound'"),
          new Stop(
              "Which grades come from which kiln more often than from the others?",
              "cross --data demo/firing-log.csv --rows kiln --columns grade"),
          new Stop(
              "The same tiles: do the shifts differ, once each kiln is looked at alone?",
              "cross --data demo/firing-log.csv --rows shift --columns grade --strata kiln"
                  + " --merge crazed+cracked+warped=damaged --order early,late,damaged,sound"),
          new Stop(
              "Four depots take boxes back. For the same reasons?",
              "cross --data demo/returns-by-depot.csv --rows depot --columns reason --count n"
                  + " --figures row-percents,residuals"),
          new Stop(
              "Customers returned 291 boxes. Do the four reasons occur equally often?",
              "shares --data demo/returns-by-depot.csv --outcome reason --count n --against"
                  + " equal"),
          new Stop(
              "Does the cobalt glaze craze in fewer than 8%? Follow the evidence tile by tile.",
              "rate --data demo/firing-log.csv --outcome grade --success crazed --where"
                  + " glaze=cobalt --against 8% --alternative less --sequence"),
          new Stop(
              "The foreman keeps week 18 in a workbook. Did the kilns differ in that week?",
              "compare --data demo/week-18.xlsx --outcome grade --success cracked,warped"
                  + " --group kiln"),
          new Stop(
              "A panel named the glazes in stock. Which have more than half of the customers?",
              "rate --data demo/panel-codes.csv --outcome glazes --split ';' --against 50%"
                  + " --alternative greater"),
          new Stop(
              "A panel of dealers' customers by region, weighted: would 65% order again?",
              "rate --data demo/panel-survey.csv --outcome would_reorder --success yes --against"
                  + " 65% --design weight=weight,strata=region,cluster=dealer"),
          new Stop(
              "A slower firing: how many tiles would settle whether it scraps fewer?",
              "plan compare --base 8% --expect 5%,4.5% --power 80% --units tiles --group"
                  + " firing"),
          new Stop(
              "A glaze trial fired 60 tiles and cracked none. Is that below 5%?",
              "rate 0/60 --against 5% --alternative less --label 'New ash glaze cracks'"));

  private static final String STUDY = "demo/kiln-acceptance.yaml";
  private static final String REPORT = "kiln-acceptance.html";

  private final Terminal terminal;

  @Option(
      names = "--save",
      paramLabel = "FOLDER",
      description = "Write the demo files into a folder, and do nothing else.")
  @Nullable Path save;

  @Option(
      names = "--stops",
      paramLabel = "N",
      description = "Run only the first N commands of the tour, and write no report.")
  int stops = TOUR.size() + 1;

  @Option(
      names = {"-h", "--help"},
      usageHelp = true,
      description = "Show this help.")
  boolean help;

  DemoCommand(Terminal terminal) {
    this.terminal = terminal;
  }

  @Override
  public Integer call() throws IOException {
    Path folder = save;
    return folder == null ? tour() : save(folder);
  }

  private int tour() {
    require(stops >= 1, "--stops must be 1 or more, got %d", stops);
    PrintWriter out = terminal.out();
    out.println("Harrowmere Tileworks is a made-up maker of glazed tiles with three kilns. Every");
    out.println("command below can be repeated as it stands where the folder demo is; to have");
    out.println("it here: " + terminal.name() + " demo --save demo");
    Terminal onDemo =
        new Terminal(out, terminal.err(), DemoCommand::open, terminal.screen(), terminal.name());
    for (Stop stop : TOUR.subList(0, Math.min(stops, TOUR.size()))) {
      out.println();
      out.println("-".repeat(80));
      out.println(stop.story());
      out.println();
      out.println(
          say(
              "$ %s %s",
              ShellWord.quoted(terminal.name()),
              stop.words().stream().map(ShellWord::quoted).collect(Collectors.joining(" "))));
      out.println();
      int status = new Tavik(onDemo).run(stop.words().toArray(String[]::new));
      if (status != ExitStatus.ANSWERED) {
        return status;
      }
    }
    if (stops > TOUR.size()) {
      out.println();
      out.println("-".repeat(80));
      int status = report(onDemo);
      if (status != ExitStatus.ANSWERED) {
        return status;
      }
    }
    out.println();
    out.println("-".repeat(80));
    out.println("Next: " + terminal.name() + " look --data FILE, with a file of your own.");
    return ExitStatus.ANSWERED;
  }

  /** The whole study as a page; in the folder for temporary files where this one can't be used. */
  private int report(Terminal onDemo) {
    Path here = Path.of(REPORT);
    boolean free = Files.exists(here) ? FileWriting.ours(here) : Files.isWritable(Path.of(""));
    Path page = free ? here : Path.of(System.getProperty("java.io.tmpdir"), REPORT);
    terminal
        .out()
        .println("All questions of a study on one page to hand on: open it in a browser.");
    terminal.out().println();
    terminal
        .out()
        .println(say("$ %s run %s --out %s", ShellWord.quoted(terminal.name()), STUDY, page));
    terminal.out().println();
    int status = new Tavik(onDemo).run("run", STUDY, "--out", page.toString());
    terminal.out().println("The report is in " + page);
    return status;
  }

  private static InputStream open(String name) throws IOException {
    return DemoFiles.open(name.substring(name.lastIndexOf('/') + 1));
  }

  private int save(Path folder) throws IOException {
    require(
        !Files.exists(folder) || Files.isDirectory(folder),
        "--save must name a folder, got the file %s; name another",
        folder);
    for (String name : DemoFiles.NAMES) {
      Path file = folder.resolve(name);
      require(!Files.exists(file), "--save would overwrite %s; name another folder", file);
    }
    try {
      Files.createDirectories(folder);
    } catch (IOException e) {
      throw new UnwrittenException(
          "can't make the folder " + folder + ": " + FileWriting.reason(e), e);
    }
    for (String name : DemoFiles.NAMES) {
      try (InputStream in = DemoFiles.open(name)) {
        FileWriting.write(folder.resolve(name), in.readAllBytes());
      }
      terminal.err().println("Wrote " + folder.resolve(name));
    }
    return ExitStatus.ANSWERED;
  }
}
