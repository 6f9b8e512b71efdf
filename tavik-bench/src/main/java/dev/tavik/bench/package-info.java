/**
 * How long everything takes beside the least that any program must do for it, in one run, in turn:
 *
 * <pre>{@code
 * tavik-bench/speed.sh
 * }</pre>
 *
 * <p>prints the table that {@code BENCH.md} keeps. The least is a plain kernel in {@code Kernels},
 * {@code FisherPower}, {@code DrawKernels}, a bare Java machine, or the text reader's own callback;
 * {@code SideBySide} times both by the processor's clock. Nothing here asserts, and no test is
 * timed.
 */
@NullMarked
package dev.tavik.bench;

import org.jspecify.annotations.NullMarked;
