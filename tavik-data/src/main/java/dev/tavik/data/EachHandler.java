package dev.tavik.data;

import dev.tavik.count.Tabulation;
import java.util.ArrayList;
import java.util.List;

/** Counts each column of a request by itself, all in one pass. */
final class EachHandler extends RowHandler {
  private final CountRequest request;
  private final List<CountHandler> each = new ArrayList<>();
  private final List<boolean[]> wanted = new ArrayList<>();

  EachHandler(String source, CountRequest request) {
    super(source);
    this.request = request;
  }

  @Override
  public Need need() {
    return Need.COUNTS;
  }

  @Override
  boolean[] header(Header header) {
    boolean[] all = new boolean[header.names().size()];
    each.clear();
    wanted.clear();
    for (String column : header.columns(request.columns())) {
      CountHandler one = new CountHandler(source(), request.columns(List.of(column)));
      boolean[] own = one.headed(header);
      for (int i = 0; i < all.length; i++) {
        all[i] |= own[i];
      }
      each.add(one);
      wanted.add(own);
    }
    return all;
  }

  @Override
  void value(int column, char[] buffer, int offset, int length, boolean quoted) {
    for (int i = 0; i < each.size(); i++) {
      if (wanted.get(i)[column]) {
        each.get(i).placed(this);
        each.get(i).value(column, buffer, offset, length, quoted);
      }
    }
  }

  @Override
  void row() {
    for (CountHandler one : each) {
      one.placed(this);
      one.row();
    }
  }

  List<Tabulation> tabulations(List<String> remarks) {
    if (each.isEmpty()) {
      return List.of(new CountHandler(source(), request).tabulation(remarks));
    }
    return each.stream().map(one -> one.tabulation(remarks)).toList();
  }
}
