/**
 * The computation of Tavik: counts, tests of proportions, their intervals, power and sample sizes,
 * simulation. No words about results, and no input, output or interface code.
 *
 * <p>Single methods are the constants of {@code dev.tavik.proportion} and {@code
 * dev.tavik.association}. Questions, which bring them together and say what they mean, are in the
 * module {@code dev.tavik.answer}.
 */
@SuppressWarnings("module") // The module that numeric is exported to is compiled after this one.
module dev.tavik.core {
  requires org.apache.commons.numbers.gamma;
  requires org.apache.commons.numbers.rootfinder;
  requires org.apache.commons.rng.api;
  requires org.apache.commons.rng.core;
  requires static com.google.errorprone.annotations;
  requires static org.jspecify;

  exports dev.tavik.association;
  exports dev.tavik.bayes;
  exports dev.tavik.count;
  exports dev.tavik.numeric to
      dev.tavik.answer;
  exports dev.tavik.planning;
  exports dev.tavik.proportion;
  exports dev.tavik.result;
  exports dev.tavik.simulation;
  exports dev.tavik.survey;
  exports dev.tavik.tail;
}
