/**
 * The computation of Tavik: counts, tests of proportions, their intervals, and the questions that
 * bring them together. No input, output or interface code.
 */
module dev.tavik.core {
  requires org.apache.commons.numbers.gamma;
  requires org.apache.commons.numbers.rootfinder;
  requires org.apache.commons.rng.api;
  requires org.apache.commons.rng.core;
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
  exports dev.tavik.tail;
}
