/**
 * Looking up areas and critical values of the distributions that answers rest on.
 *
 * <pre>{@code
 * double p = 2 * Tail.normal(0, 1).upper(1.96);
 * double critical = Tail.chiSquare(2).valueAbove(0.05);
 * double exact = Tail.binomial(400, 0.05).lower(14);
 * }</pre>
 */
@NullMarked
package dev.tavik.tail;

import org.jspecify.annotations.NullMarked;
