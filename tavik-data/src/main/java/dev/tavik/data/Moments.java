package dev.tavik.data;

import java.time.Duration;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Dates and times, written alike whatever kind of source knows them as such: {@code 2026-05-01},
 * {@code 10:30}, {@code 2026-05-01 10:30}; seconds only where there are some.
 */
public final class Moments {
  private static final Pattern ISO =
      Pattern.compile(
          "(\\d{4,5}-\\d\\d-\\d\\d)?[T ]?(?:(\\d\\d:\\d\\d)(?::(\\d\\d)(?:\\.(\\d+))?)?)?");
  private static final Pattern DURATION =
      Pattern.compile("-?P(?:\\d+D)?T(?:\\d+H)?(?:\\d+M)?(?:\\d+(?:[.,]\\d+)?S)?");

  private Moments() {}

  /**
   * Writes a moment that is written by ISO 8601, or as a database writes it.
   *
   * @param written such as {@code 2026-05-01T10:30:00} or {@code 10:30:00.0}
   * @return the same as here; what is neither a date nor a time as it is
   */
  public static String plain(String written) {
    Matcher parts = ISO.matcher(written);
    if (written.isBlank() || !parts.matches()) {
      return written;
    }
    String date = parts.group(1) == null ? "" : parts.group(1);
    String time = parts.group(2) == null ? "" : parts.group(2) + seconds(parts);
    boolean midnight = !date.isEmpty() && time.equals("00:00");
    return date.isEmpty() ? time : time.isEmpty() || midnight ? date : date + " " + time;
  }

  private static String seconds(Matcher parts) {
    String seconds = parts.group(3) == null ? "00" : parts.group(3);
    String fraction = parts.group(4) == null ? "" : parts.group(4).replaceFirst("0+$", "");
    return fraction.isEmpty()
        ? seconds.equals("00") ? "" : ":" + seconds
        : ":" + seconds + "." + fraction;
  }

  static String of(LocalDateTime moment) {
    return plain(moment.toString());
  }

  static String of(LocalTime time) {
    return plain(time.toString());
  }

  /** A time of day, or of more than a day, that is written as a duration: {@code PT10H30M00S}. */
  static String ofDuration(String written) {
    if (!DURATION.matcher(written).matches()) {
      return written;
    }
    Duration duration = Duration.parse(written.replace(',', '.'));
    boolean negative = duration.isNegative();
    Duration size = duration.abs();
    String nanos =
        size.toNanosPart() == 0 ? "" : String.valueOf(1_000_000_000L + size.toNanosPart());
    String time =
        two(size.toHours())
            + ":"
            + two(size.toMinutesPart())
            + ":"
            + two(size.toSecondsPart())
            + (nanos.isEmpty() ? "" : "." + nanos.substring(1).replaceFirst("0+$", ""));
    return (negative ? "-" : "")
        + (time.endsWith(":00") ? time.substring(0, time.length() - 3) : time);
  }

  private static String two(long number) {
    return (number < 10 ? "0" : "") + number;
  }
}
