/**
 * The computation of Tavik: counts, tests of proportions, their intervals, and the questions that
 * bring them together. No input, output or interface code.
 */
module dev.tavik.core {
  requires org.apache.commons.numbers.gamma;
  requires org.apache.commons.numbers.rootfinder;
  requires static org.jspecify;

  exports dev.tavik.association;
  exports dev.tavik.bayes;
  exports dev.tavik.count;
  exports dev.tavik.proportion;
  exports dev.tavik.result;
  exports dev.tavik.study;
}
