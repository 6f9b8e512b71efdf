package works.harrowmere;

import dev.tavik.data.CountRequest;
import dev.tavik.data.Database;

/** How many rows of a query are cracked? */
public final class SqlProgram {
  private SqlProgram() {}

  public static void main(String[] arguments) {
    System.out.println(
        Database.at("jdbc:sqlite::memory:")
            .query("SELECT 'cracked' AS grade UNION ALL SELECT 'sound'")
            .open()
            .count(CountRequest.of("grade"))
            .tally("grade", "cracked"));
  }
}
