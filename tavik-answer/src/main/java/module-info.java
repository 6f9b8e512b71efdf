/**
 * The questions of Tavik and what is said of their answers. No input, output or interface code.
 *
 * <p>Begin with a question, such as {@code dev.tavik.study.rate.RateQuestion}: {@code of} makes it,
 * {@code ask} answers it with an {@code dev.tavik.answer.Answer}.
 */
module dev.tavik.answer {
  requires transitive dev.tavik.core;
  requires static com.google.errorprone.annotations;
  requires static org.jspecify;

  exports dev.tavik.answer;
  exports dev.tavik.plot;
  exports dev.tavik.study;
  exports dev.tavik.study.assess;
  exports dev.tavik.study.compare;
  exports dev.tavik.study.cross;
  exports dev.tavik.study.paired;
  exports dev.tavik.study.plan;
  exports dev.tavik.study.rate;
  exports dev.tavik.study.shares;
  exports dev.tavik.study.sweep;
  exports dev.tavik.study.simulated;
  exports dev.tavik.study.tail;
}
