package dev.tavik.answer;

import java.util.List;

/**
 * Says how an answer came about, so that another can make it again; readers of a page find it at
 * its end.
 *
 * @param command what to type; empty where nothing was typed
 * @param java what to program; empty where nothing is known
 * @param data which files it was counted from, and of what date
 */
public record Origin(String command, String java, List<String> data) implements Finding {
  /**
   * Keeps the files.
   *
   * @param command what to type
   * @param java what to program
   * @param data which files it was counted from, and of what date
   */
  public Origin {
    data = List.copyOf(data);
  }
}
