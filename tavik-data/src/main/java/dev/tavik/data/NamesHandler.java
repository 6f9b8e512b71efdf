package dev.tavik.data;

import java.util.Objects;

/** A handler that reads the names of the columns and no rows. */
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
    // Rows are ignored.
  }

  Header names() {
    return Objects.requireNonNull(knownHeader());
  }
}
