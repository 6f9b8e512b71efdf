package dev.tavik.result;

import static dev.tavik.result.Figures.say;

import java.util.Arrays;
import java.util.stream.Collectors;

/** The direction in which a null hypothesis is doubted. */
public enum Alternative {
  /** The quantity differs from the null value, to either side. */
  TWO_SIDED("two-sided"),
  /** The quantity is below the null value. */
  LESS("less"),
  /** The quantity is above the null value. */
  GREATER("greater");

  private final String id;

  Alternative(String id) {
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
   * The alternative of this name.
   *
   * @param id {@code two-sided}, {@code less} or {@code greater}
   * @return the alternative
   * @throws IllegalArgumentException for any other name
   */
  public static Alternative of(String id) {
    return Arrays.stream(values())
        .filter(alternative -> alternative.id.equals(id))
        .findFirst()
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    say(
                        "alternative must be one of %s, got '%s'",
                        Arrays.stream(values())
                            .map(Alternative::id)
                            .collect(Collectors.joining(", ")),
                        id)));
  }

  /**
   * The one-sided bound that goes with this alternative: an upper bound for "less", since it says
   * how large the quantity could still be.
   *
   * @return the side of the matching interval
   */
  public Side matchingSide() {
    return switch (this) {
      case TWO_SIDED -> Side.TWO_SIDED;
      case LESS -> Side.UPPER;
      case GREATER -> Side.LOWER;
    };
  }

  /**
   * {@return whether a quantity lies on the other side of the null value than this says}
   *
   * @param away the quantity less the null value
   */
  public boolean isOpposite(double away) {
    return switch (this) {
      case TWO_SIDED -> false;
      case LESS -> away > 0;
      case GREATER -> away < 0;
    };
  }
}
