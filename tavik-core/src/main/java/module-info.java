/**
 * The computation of Tavik: counts, tests of proportions, their intervals, and the questions that
 * bring them together. No input, output or interface code.
 *
 * <p>Begin with a question, such as {@code dev.tavik.study.rate.RateQuestion}: {@code of} makes it,
 * {@code ask} answers it with an {@code dev.tavik.answer.Answer}. Single methods are the constants
 * of {@code dev.tavik.proportion} and {@code dev.tavik.association}.
 */
module dev.tavik.core {
  requires org.apache.commons.numbers.gamma;
  requires org.apache.commons.numbers.rootfinder;
  requires org.apache.commons.rng.api;
  requires org.apache.commons.rng.core;
  requires static com.google.errorprone.annotations;
  requires static org.jspecify;

  exports dev.tavik.answer;
  exports dev.tavik.association;
  exports dev.tavik.bayes;
  exports dev.tavik.count;
  exports dev.tavik.planning;
  exports dev.tavik.proportion;
  exports dev.tavik.result;
  exports dev.tavik.simulation;
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
  exports dev.tavik.survey;
  exports dev.tavik.tail;
}
