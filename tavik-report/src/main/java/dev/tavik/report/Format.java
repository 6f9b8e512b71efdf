package dev.tavik.report;

/** Writes what readers see of an answer, or what machines see; a format knows no question. */
@FunctionalInterface
interface Format {
  /** Writes a document. */
  String write(Document document);
}
