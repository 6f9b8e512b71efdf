package dev.tavik.spark;

import dev.tavik.data.Recoding;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The different values of a column, numbered by first appearance. Number 0 is a missing one. Texts
 * come as their bytes: short ones are looked up as numbers, and no text is made of them but the
 * first time.
 */
final class Values {
  private static final int MOST_REMEMBERED = 100_000;

  private final @Nullable Recoding classes;
  private final ShortTexts shorts = new ShortTexts();
  private final Map<Object, Integer> numbers = new HashMap<>();
  private final Map<String, Integer> classNumbers = new HashMap<>();
  private final List<@Nullable String> written = new ArrayList<>();

  /**
   * No value yet.
   *
   * @param classes what numbers are read as, where one of a class stands for all of it
   */
  Values(@Nullable Recoding classes) {
    this.classes = classes;
    written.add(null);
  }

  int number(@Nullable Object value) {
    if (value == null) {
      return 0;
    }
    if (value instanceof byte[] text) {
      return number(text);
    }
    Integer known = numbers.get(value);
    return known == null ? further(value, value) : known;
  }

  private int number(byte[] text) {
    if (text.length > ShortTexts.LONGEST) {
      String whole = new String(text, StandardCharsets.UTF_8);
      Integer known = numbers.get(whole);
      return known == null ? further(whole, whole) : known;
    }
    int known = shorts.number(text);
    if (known != ShortTexts.UNKNOWN) {
      return known;
    }
    int number = further(null, new String(text, StandardCharsets.UTF_8));
    if (classes == null || shorts.size() < MOST_REMEMBERED) {
      shorts.keep(text, number);
    }
    return number;
  }

  /** The number of a value that isn't known yet, remembered by a key unless that is null. */
  private int further(@Nullable Object key, Object value) {
    @Nullable String text = Written.of(value);
    if (text == null || text.isEmpty()) {
      return 0;
    }
    int number =
        classes == null
            ? added(text)
            : classNumbers.computeIfAbsent(Slice.Place.alike(classes, text), alike -> added(text));
    if (key != null && (classes == null || numbers.size() < MOST_REMEMBERED)) {
      numbers.put(key, number);
    }
    return number;
  }

  private int added(String text) {
    written.add(text);
    return written.size() - 1;
  }

  /** How many there are, the missing one not counted. */
  int size() {
    return written.size() - 1;
  }

  /** A value by its number; null for the missing one. */
  @Nullable String written(int number) {
    return written.get(number);
  }
}
