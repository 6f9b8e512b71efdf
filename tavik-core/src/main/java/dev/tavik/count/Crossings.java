package dev.tavik.count;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Many columns of one source, each counted against the same groups.
 *
 * @param tables a tabulation of each column that classifies, whose second column is the groups; in
 *     the order of the source
 * @param leftOut the columns that don't, and why
 */
public record Crossings(List<Tabulation> tables, Map<String, String> leftOut) {
  /** Copies the parts. */
  public Crossings {
    tables = List.copyOf(tables);
    leftOut = Collections.unmodifiableMap(new LinkedHashMap<>(leftOut));
  }
}
