package dev.tavik.result;

import static dev.tavik.result.Figures.require;

import java.util.Arrays;
import java.util.List;

/** What a comparison is to show. */
public enum ComparisonGoal {
  /** That the difference is not the null value. */
  DIFFERENCE("difference"),
  /** That the first group isn't worse than the second by the margin or more. */
  NONINFERIOR("noninferior"),
  /** That neither group is above the other by the margin or more. */
  EQUIVALENT("equivalent");

  private final String id;

  ComparisonGoal(String id) {
    this.id = id;
  }

  /**
   * The public name, the same in options, study files and JSON.
   *
   * @return the name
   */
  public String id() {
    return id;
  }

  /**
   * The value of this name.
   *
   * @param id {@code difference}, {@code noninferior} or {@code equivalent}
   * @return the value
   * @throws IllegalArgumentException for any other name
   */
  public static ComparisonGoal of(String id) {
    List<String> ids = Arrays.stream(values()).map(ComparisonGoal::id).toList();
    require(ids.contains(id), "show must be one of %s, got '%s'", String.join(", ", ids), id);
    return values()[ids.indexOf(id)];
  }
}
