package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import dev.tavik.data.SourceOpener;
import dev.tavik.report.Emphasis;
import dev.tavik.report.Screen;
import dev.tavik.report.Visible;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Answers and help fit the screen that they are read on. */
class ScreenTest {
  @TempDir private Path folder;

  private static final Path DEMO = Path.of("..", "demo");

  private static List<String> lines(int width, String... words) {
    StringWriter out = new StringWriter();
    PrintWriter writer = new PrintWriter(out);
    Screen screen = new Screen(Emphasis.NONE, width);
    new Tavik(new Terminal(writer, writer, SourceOpener.ofFiles(), screen, "tavik")).run(words);
    return out.toString().lines().toList();
  }

  @ParameterizedTest
  @ValueSource(ints = {60, 64, 80, 120})
  void noLineOfAnAnswerIsLongerThanTheScreen(int width) {
    String log = DEMO.resolve("firing-log.csv").toString();
    String[][] questions = {
      {"rate", "14/400", "--against", "5%", "--bayes"},
      {"compare", "North=14/400", "South=31/410", "Ofen-für-große-Fliesen=9/377"},
      {
        "cross", "--data", log, "--rows", "kiln", "--columns", "grade", "--merge", "crazed+warped=x"
      },
      {"shares", "ash=31", "青磁=22", "iron=17", "--against", "equal"},
    };
    for (String[] question : questions) {
      assertThat(lines(width, question))
          .hasSizeGreaterThan(10)
          .allSatisfy(line -> assertThat(Visible.width(line)).as(line).isLessThanOrEqualTo(width));
    }
  }

  @ParameterizedTest
  @CsvSource({"60, 60", "100, 100", "300, 120", "10, 60"})
  void helpIsLaidOutForTheScreen(int width, int most) {
    List<String> help = lines(width, "compare", "--help");
    assertThat(help.stream().skip(1).takeWhile(line -> !line.equals("Examples:")))
        .allSatisfy(line -> assertThat(line.length()).isLessThanOrEqualTo(most))
        .anySatisfy(line -> assertThat(line.length()).isGreaterThan(most * 4 / 5));
    assertThat(help).contains("What was counted:", "What is asked:", "The answer:");
  }

  /** A name is cut by what it takes on the screen, and never inside a character. */
  @ParameterizedTest
  @CsvSource({"窯, 10", "𝒦, 21", "é, 21"})
  void wideNamesTakeTheirRoom(String character, int shown) throws IOException {
    Path table = folder.resolve("table.csv");
    Files.writeString(table, "," + character.repeat(30) + ",b\nx,12,5\ny,7,9\n");
    List<String> lines = lines(80, "cross", "--table", table.toString(), "--figures", "residuals");
    assertThat(lines).anyMatch(line -> line.matches(" +" + character + "{" + shown + "}… +b"));
    assertThat(lines)
        .allSatisfy(line -> assertThat(Visible.width(line)).as(line).isLessThanOrEqualTo(80));
  }
}
