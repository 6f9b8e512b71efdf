/**
 * Which columns of a survey differ between groups? {@link dev.tavik.study.sweep.SweepQuestion} asks
 * it of many columns at once, each as {@link dev.tavik.study.cross.CrossQuestion} would, with
 * p-values adjusted over all of them and letters for the pairs of groups that differ.
 */
@NullMarked
package dev.tavik.study.sweep;

import org.jspecify.annotations.NullMarked;
