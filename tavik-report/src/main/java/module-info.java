/** Everything that goes out: text, JSON and pictures. */
module dev.tavik.report {
  requires transitive dev.tavik.core;
  requires transitive java.desktop;
  requires org.apache.xmlgraphics.batik.svggen;
  requires com.fasterxml.jackson.databind;
  requires org.jfree.jfreechart;
  requires static org.jspecify;

  exports dev.tavik.report;
}
