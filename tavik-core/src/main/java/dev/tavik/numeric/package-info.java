/**
 * Tails and quantiles that stay right far out, where no library in use does: the binomial
 * distribution to 10⁹ trials and the normal distribution, both with natural logarithms of their
 * tails, so that nothing underflows.
 *
 * <p>Not exported: users meet these numbers through {@code dev.tavik.proportion}.
 *
 * <p>Everything is held as the logarithm of a tail, so nothing underflows; a tail is summed, never
 * one minus the other. A null value is the decimal that was written ({@code DecimalFraction}).
 */
@NullMarked
package dev.tavik.numeric;

import org.jspecify.annotations.NullMarked;
