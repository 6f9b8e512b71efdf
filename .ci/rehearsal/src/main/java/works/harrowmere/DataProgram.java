package works.harrowmere;

import dev.tavik.data.CountRequest;
import dev.tavik.data.DemoFiles;
import dev.tavik.data.Sources;

/** How many tiles are cracked? */
public final class DataProgram {
  private DataProgram() {}

  public static void main(String[] arguments) {
    System.out.println(
        Sources.open("firing-log.csv", DemoFiles::open)
            .count(CountRequest.of("grade"))
            .tally("grade", "cracked"));
  }
}
