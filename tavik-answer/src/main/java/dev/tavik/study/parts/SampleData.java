package dev.tavik.study.parts;

import dev.tavik.answer.Finding;
import java.util.List;

/** What data contribute to an answer, whatever is asked of them. */
public interface SampleData {
  /** Facts about the data, for programs. */
  default List<Finding> about() {
    return List.of();
  }

  /** What is said of the data after their source. */
  default List<Finding> context() {
    return List.of();
  }
}
