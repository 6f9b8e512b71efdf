package dev.tavik.data;

import java.util.Objects;

/** Takes the names of the columns, and no row. */
final class NamesHandler extends RowHandler {
  NamesHandler(String source) {
    super(source);
  }

  @Override
  public Need need() {
    return Need.NAMES;
  }

  @Override
  boolean[] header(Header header) {
    return new boolean[header.names().size()];
  }

  @Override
  void value(int column, char[] buffer, int offset, int length, boolean quoted) {
    throw new IllegalStateException("no column is wanted");
  }

  @Override
  void row() {
    // Rows are not looked at.
  }

  Header names() {
    return Objects.requireNonNull(knownHeader());
  }
}
