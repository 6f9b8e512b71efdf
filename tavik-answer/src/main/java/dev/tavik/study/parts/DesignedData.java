package dev.tavik.study.parts;

import dev.tavik.answer.Finding;
import java.util.List;

/** What any designed sample contributes to an answer. */
public interface DesignedData extends SampleData {
  /** The design of the sample. */
  DesignFindings design();

  @Override
  default List<Finding> about() {
    return List.of(design().fact());
  }

  @Override
  default List<Finding> context() {
    return List.of(design().sentence());
  }
}
