package dev.tavik.answer;

import dev.tavik.result.Estimate;
import java.util.List;

/** Holds estimates; readers see them in tables and sentences of their own. */
public record Estimates(List<Estimate> all) implements Finding {
  /**
   * Keeps the estimates.
   *
   * @param all the estimates
   */
  public Estimates {
    all = List.copyOf(all);
  }

  @Override
  public String key() {
    return "estimates";
  }

  @Override
  public Value figures() {
    return Value.list(
        all,
        each ->
            Value.result()
                .with("quantity", each.quantity().id())
                .with("label", each.label())
                .with("value", each.value())
                .with("standardError", each.standardError()));
  }
}
