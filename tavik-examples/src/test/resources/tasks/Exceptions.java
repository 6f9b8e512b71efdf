package dev.tavik.examples.tasks;

import dev.tavik.count.Tally;
import dev.tavik.data.CountRequest;
import dev.tavik.data.DataException;
import dev.tavik.data.Sources;
import java.util.List;
import java.util.concurrent.Callable;

/** Each kind of exception. */
public final class Exceptions {
  public static String run() throws Exception {
    List<Callable<?>> wrong = List.of(() -> Tally.of(5, 3), () -> Sources.open("none.csv").count(CountRequest.of("a")));
    StringBuilder said = new StringBuilder();
    for (Callable<?> each : wrong) {
      try {
        each.call();
      } catch (IllegalArgumentException | DataException e) {
        said.append(e.getMessage()).append('\n');
      }
    }
    return said.toString();
  }
}
