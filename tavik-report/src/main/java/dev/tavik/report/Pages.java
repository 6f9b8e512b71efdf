package dev.tavik.report;

import java.io.IOException;
import java.io.Writer;

/** Where a report is written to, which may take several pages. */
public interface Pages {
  /**
   * One report without pages beside it.
   *
   * @param to where to; not closed
   * @return the pages
   */
  static Pages of(Writer to) {
    return new Pages() {
      @Override
      public Writer report() {
        return to;
      }

      @Override
      public Writer page(String name) {
        throw new IllegalStateException("there is no folder of pages for " + name);
      }

      @Override
      public String folder() {
        return "";
      }

      @Override
      public String index() {
        return "";
      }
    };
  }

  /**
   * {@return where the report itself is written to; asked for once}
   *
   * @throws IOException if it can't be written
   */
  Writer report() throws IOException;

  /**
   * Begins a page beside the report.
   *
   * @param name its name in the folder, such as {@code page-01.html}
   * @return where it is written to; closed by the report
   * @throws IOException if it can't be written
   */
  Writer page(String name) throws IOException;

  /**
   * {@return the folder of the pages, as the report links to it, with its slash; empty for none}
   */
  String folder();

  /** {@return the report, as a page in the folder links to it; empty if there is no folder} */
  String index();
}
