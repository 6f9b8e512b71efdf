module works.harrowmere.acceptance {
  requires dev.tavik.chart;
  requires dev.tavik.core;
  requires dev.tavik.data;
  requires dev.tavik.report;
}
