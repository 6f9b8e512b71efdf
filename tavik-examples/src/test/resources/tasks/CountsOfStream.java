package dev.tavik.examples.tasks;

import dev.tavik.count.Tally;
import java.util.stream.Stream;

/** Counts from a stream of rows. */
public final class CountsOfStream {
  public static String run() throws Exception {
    Stream<String> grades = Stream.of("sound", "cracked", "sound", null, "sound");
    Tally cracked = grades.collect(Tally.counting(grade -> grade == null ? null : grade.equals("cracked")));
    return cracked.toString();
  }
}
