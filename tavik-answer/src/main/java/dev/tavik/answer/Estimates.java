package dev.tavik.answer;

import dev.tavik.result.Estimate;
import java.util.List;

/**
 * Holds estimates; readers see them in tables and sentences of their own.
 *
 * @param all the estimates, in order
 */
public record Estimates(List<Estimate> all) implements Finding {
  /** Keeps the estimates. */
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
