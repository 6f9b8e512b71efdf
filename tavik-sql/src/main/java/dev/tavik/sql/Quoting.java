package dev.tavik.sql;

/**
 * Writes identifiers so that none of their characters means anything else.
 *
 * @param mark what the database puts around them
 */
record Quoting(String mark) {
  String quoted(String identifier) {
    return mark + identifier.replace(mark, mark + mark) + mark;
  }
}
