package dev.tavik.study.sweep;

import dev.tavik.answer.Finding;
import dev.tavik.answer.Value;
import dev.tavik.result.Estimand;
import java.util.ArrayList;
import java.util.List;

/** The share of every level in every group, for machines; readers see tables. */
record ColumnShares(List<Swept> columns, Letters letters, double alpha) implements Finding {
  @Override
  public String key() {
    return "shares";
  }

  @Override
  public Value figures() {
    List<Value> shares = new ArrayList<>();
    for (Swept column : columns) {
      for (int level = 0; level < column.table().columns().size(); level++) {
        add(shares, column, level);
      }
    }
    return new Value.Listing(shares);
  }

  private void add(List<Value> shares, Swept column, int level) {
    List<String> groups = column.table().rows();
    List<List<Integer>> smaller = column.smaller(level, alpha);
    for (int group = 0; group < groups.size(); group++) {
      shares.add(
          Value.fields()
              .with("quantity", Estimand.SHARE.id())
              .with("column", column.name())
              .with("level", column.table().columns().get(level))
              .with("label", groups.get(group))
              .with("count", column.count(group, level))
              .with("of", column.base(group))
              .with("value", column.share(group, level))
              .with(
                  "largerThan",
                  Value.words(smaller.get(group).stream().map(groups::get).toList())));
    }
  }
}
