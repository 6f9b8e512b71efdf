package dev.tavik.answer;

import java.util.List;

/** Figures and blocks as they are. */
record Said(String key, Value figures, List<Block> reading) implements Finding {
  Said {
    reading = List.copyOf(reading);
  }
}
