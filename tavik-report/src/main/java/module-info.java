/** Answers in writing: text, Markdown, HTML, JSON and CSV. Begin with {@code Report}. */
module dev.tavik.report {
  requires transitive dev.tavik.answer;
  requires com.j2html;
  requires com.fasterxml.jackson.databind;
  requires de.siegmar.fastcsv;
  requires static org.jspecify;

  exports dev.tavik.report;
}
