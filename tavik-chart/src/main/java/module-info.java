/** Pictures of answers. Begin with {@code Chart}. */
module dev.tavik.chart {
  requires transitive dev.tavik.answer;
  requires transitive java.desktop;
  requires org.apache.xmlgraphics.batik.svggen;
  requires org.jfree.jfreechart;
  requires static org.jspecify;

  exports dev.tavik.chart;
}
