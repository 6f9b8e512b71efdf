module works.harrowmere.acceptance {
  requires dev.tavik.chart;
  requires dev.tavik.answer;
  requires dev.tavik.data;
  requires dev.tavik.report;
}
