package dev.tavik.examples.tasks;

import dev.tavik.answer.Answer;
import dev.tavik.count.Tabulation;
import dev.tavik.study.rate.RateQuestion;
import java.util.List;

/** Rates by group from a list of records. */
public final class RatesByGroup {
  record Tile(String kiln, String grade) {}

  private static final List<Tile> TILES =
      List.of(new Tile("North", "cracked"), new Tile("North", "sound"), new Tile("South", "sound"));

  public static String run() throws Exception {
    Tabulation counts =
        TILES.stream()
            .collect(Tabulation.counting(Tile.class).by("grade", Tile::grade).by("kiln", Tile::kiln));
    Answer answer = RateQuestion.of(counts.tallies("grade", "cracked", "kiln"), 0.08).ask();
    return answer.verdict().text();
  }
}
