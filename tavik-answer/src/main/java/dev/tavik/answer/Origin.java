package dev.tavik.answer;

import java.util.List;

/**
 * Says how an answer was obtained, so that it can be reproduced; it stands at the end of a page.
 *
 * @param command what to type; empty where nothing was typed
 * @param java what to program; empty where nothing is known
 * @param data which files it was counted from, and of what date
 */
public record Origin(String command, String java, List<String> data) implements Finding {
  /** Keeps the files. */
  public Origin {
    data = List.copyOf(data);
  }
}
