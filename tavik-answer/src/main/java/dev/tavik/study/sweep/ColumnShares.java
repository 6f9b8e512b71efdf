package dev.tavik.study.sweep;

import dev.tavik.answer.Finding;
import dev.tavik.answer.Value;
import dev.tavik.result.Estimand;
import java.util.ArrayList;
import java.util.List;

/** The share of every level in every group, for machines; readers see tables. */
record ColumnShares(List<Swept> columns, double alpha) implements Finding {
  @Override
  public String key() {
    return "shares";
  }

  @Override
  public Value figures() {
    List<Value> shares = new ArrayList<>();
    for (Swept column : columns) {
      TallyColumn data = (TallyColumn) column.data();
      for (int level = 0; level < data.levels().size(); level++) {
        add(shares, column.name(), data, level);
      }
    }
    return new Value.Listing(shares);
  }

  private void add(List<Value> shares, String column, TallyColumn data, int level) {
    List<List<String>> smaller = data.smaller(level, alpha);
    for (int group = 0; group < data.groups().size(); group++) {
      shares.add(
          Value.result()
              .with("quantity", Estimand.SHARE.id())
              .with("column", column)
              .with("level", data.levels().get(level))
              .with("label", data.groups().get(group))
              .with("count", data.count(group, level))
              .with("of", data.base(group))
              .with("value", data.share(group, level))
              .with("largerThan", Value.words(smaller.get(group))));
    }
  }
}
