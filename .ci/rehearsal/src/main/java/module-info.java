module works.harrowmere.rehearsal {
  requires dev.tavik.chart;
  requires dev.tavik.answer;
  requires dev.tavik.data;
  requires dev.tavik.report;
  requires dev.tavik.sql;
}
