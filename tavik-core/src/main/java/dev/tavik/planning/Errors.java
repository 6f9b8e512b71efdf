package dev.tavik.planning;

import java.util.function.DoubleUnaryOperator;

/**
 * What a test sees if the null is true and if the alternative is, and from where on it rejects: for
 * a picture of both errors.
 *
 * @param quantity what is seen, such as the observed rate
 * @param underNull its density if the null is true
 * @param underAlternative its density if what is expected is true
 * @param rejectedTo values up to here are rejected; negative infinity where none are
 * @param rejectedFrom values from here on are rejected; infinity where none are
 * @param from the densities are worth drawing from here
 * @param to and up to here
 * @param none the null value
 * @param expected what is expected
 */
public record Errors(
    String quantity,
    DoubleUnaryOperator underNull,
    DoubleUnaryOperator underAlternative,
    double rejectedTo,
    double rejectedFrom,
    double from,
    double to,
    double none,
    double expected) {}
