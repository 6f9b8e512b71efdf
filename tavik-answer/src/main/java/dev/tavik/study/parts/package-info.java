/**
 * What several questions need: the choice of a test, conditions and cautions that they share,
 * adjustment for several tests. Not exported.
 */
@NullMarked
package dev.tavik.study.parts;

import org.jspecify.annotations.NullMarked;
