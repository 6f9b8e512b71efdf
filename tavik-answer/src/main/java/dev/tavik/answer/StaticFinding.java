package dev.tavik.answer;

import java.util.List;

/** Figures and blocks as they are. */
record StaticFinding(String key, Value figures, List<Block> reading) implements Finding {
  StaticFinding {
    reading = List.copyOf(reading);
  }
}
