/**
 * How methods behave at a size: true coverage of intervals, true size of tests. Begin with {@link
 * dev.tavik.study.assess.AssessQuestion}.
 */
@NullMarked
package dev.tavik.study.assess;

import org.jspecify.annotations.NullMarked;
