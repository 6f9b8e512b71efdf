package dev.tavik.data;

import static dev.tavik.result.Figures.say;

import dev.tavik.count.Names;
import java.util.List;
import java.util.stream.IntStream;

/** The sheets of a workbook, and which of them is meant. */
record Sheets(String file, List<String> names, List<Boolean> hidden) {

  /** The position of the sheet that is meant: the one that was said, else the first visible one. */
  int chosen(ReadOptions said) {
    if (names.isEmpty()) {
      throw new DataException(DataException.Code.EMPTY, file + " has no sheet");
    }
    if (said.sheet().isEmpty()) {
      return IntStream.range(0, names.size()).filter(i -> !hidden.get(i)).findFirst().orElse(0);
    }
    String wanted = said.sheet().get();
    List<String> matching = Names.matching(wanted, names);
    if (matching.size() == 1) {
      return names.indexOf(matching.get(0));
    }
    if (wanted.matches("[1-9]\\d{0,4}") && Integer.parseInt(wanted) <= names.size()) {
      return Integer.parseInt(wanted) - 1;
    }
    throw new DataException(
        DataException.Code.MALFORMED,
        "%s has no sheet '%s'%s",
        file,
        wanted,
        Names.hint(wanted, names));
  }

  /** A remark about a default that was used. */
  List<String> remarks(ReadOptions said, int chosen) {
    return said.sheet().isPresent() || names.size() == 1
        ? List.of()
        : List.of(say("the sheet '%s' is one of %d", names.get(chosen), names.size()));
  }
}
