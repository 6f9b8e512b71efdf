package dev.tavik.data;

import dev.tavik.count.Names;
import java.util.ArrayList;
import java.util.List;

/** The names of a file's columns. */
record Header(String source, List<String> names) {

  Header {
    names = List.copyOf(names);
  }

  /**
   * The position of a column: by its exact name, else by its name without regard to case.
   *
   * @throws DataException if no column has the name, or several have
   */
  int find(String name) {
    List<String> matching = Names.matching(name, names);
    if (matching.isEmpty()) {
      throw new DataException(
          DataException.Code.COLUMN,
          source + " has no column '" + name + "'" + Names.hint(name, names) + title());
    }
    List<Integer> positions = positions(matching);
    if (positions.size() > 1) {
      throw new DataException(
          DataException.Code.COLUMN,
          "%s has %d columns that could be '%s' (numbers %s); give them different names",
          source,
          positions.size(),
          name,
          String.join(" and ", positions.stream().map(p -> String.valueOf(p + 1)).toList()));
    }
    return positions.get(0);
  }

  /**
   * The columns that are written: each by its name, or several with commas between, where no column
   * is called like the whole.
   *
   * @throws DataException if one of them isn't there
   */
  List<String> columns(List<String> written) {
    List<String> columns = new ArrayList<>();
    for (String each : written) {
      if (each.contains(",") && Names.matching(each, names).isEmpty()) {
        for (String part : Names.parts(each)) {
          columns.add(names.get(find(part)));
        }
      } else {
        columns.add(names.get(find(each)));
      }
    }
    return columns;
  }

  /** The position of a column, or -1 if there is none, or several are. */
  int position(String name) {
    List<String> matching = Names.matching(name, names);
    return matching.size() == 1 ? names.indexOf(matching.get(0)) : -1;
  }

  private String title() {
    return names.contains("")
        ? ". Columns without a name may mean that the first line is a title; the header must come"
            + " first"
        : "";
  }

  private List<Integer> positions(List<String> wanted) {
    List<Integer> positions = new ArrayList<>();
    for (int i = 0; i < names.size(); i++) {
      if (wanted.contains(names.get(i))) {
        positions.add(i);
      }
    }
    return positions;
  }
}
