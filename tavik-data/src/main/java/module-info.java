/**
 * Everything that comes in: files of any kind, databases through a service, and study files; to
 * counts and questions.
 *
 * <p>Begin with {@code Sources}, which opens data to be counted, or with {@code StudyFile}, which
 * reads questions.
 */
module dev.tavik.data {
  requires transitive dev.tavik.answer;
  requires com.fasterxml.jackson.databind;
  requires com.fasterxml.jackson.dataformat.yaml;
  requires com.fasterxml.jackson.core;
  requires de.siegmar.fastcsv;
  requires java.xml;
  requires org.dhatim.fastexcel.reader;
  requires org.jsoup;
  requires static com.google.errorprone.annotations;
  requires static org.jspecify;

  exports dev.tavik.data;
  exports dev.tavik.data.study;
  exports dev.tavik.data.words;

  uses dev.tavik.data.Database.Connector;
  uses dev.tavik.data.ColumnEngine;
}
