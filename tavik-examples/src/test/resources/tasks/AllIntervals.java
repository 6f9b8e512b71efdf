package dev.tavik.examples.tasks;

import dev.tavik.count.Tally;
import dev.tavik.proportion.ProportionInterval;
import java.util.Arrays;
import java.util.stream.Collectors;

/** Every interval of a tally. */
public final class AllIntervals {
  public static String run() throws Exception {
    Tally cracked = Tally.parse("14/400");
    return Arrays.stream(ProportionInterval.values())
        .map(method -> method.id() + " " + method.of(cracked, 0.95))
        .collect(Collectors.joining("\n"));
  }
}
