/**
 * Everything that comes in: delimited text and study files, to counts and questions.
 *
 * <p>Begin with {@code Sources}, which opens data to be counted, or with {@code StudyFile}, which
 * reads questions.
 */
module dev.tavik.data {
  requires transitive dev.tavik.core;
  requires com.fasterxml.jackson.databind;
  requires com.fasterxml.jackson.dataformat.yaml;
  requires de.siegmar.fastcsv;
  requires static com.google.errorprone.annotations;
  requires static org.jspecify;

  exports dev.tavik.data;
  exports dev.tavik.data.words;
}
