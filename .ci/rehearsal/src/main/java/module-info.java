module works.harrowmere.rehearsal {
  requires dev.tavik.chart;
  requires dev.tavik.core;
  requires dev.tavik.data;
  requires dev.tavik.report;
  requires dev.tavik.sql;
}
