/**
 * The tavik command: parse, ask, print. Begin with {@code Main}, or inside a test with {@code
 * Tavik}.
 */
module dev.tavik.cli {
  requires dev.tavik.answer;
  requires dev.tavik.data;
  requires dev.tavik.chart;
  requires dev.tavik.report;
  requires info.picocli;
  requires me.tongfei.progressbar;
  requires org.jline.reader;
  requires org.jline.terminal;
  requires static org.jspecify;

  opens dev.tavik.cli to
      info.picocli;
}
