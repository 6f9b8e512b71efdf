package dev.tavik.result;

/**
 * Holds one line of a calculation as it is done by hand.
 *
 * @param name what is calculated
 * @param symbol its symbol
 * @param formula the formula in symbols
 * @param substituted the formula with its numbers
 * @param value the outcome, to be carried on unrounded
 * @param reason why it is done so; empty where nothing needs saying
 */
public record WorkingStep(
    String name, String symbol, String formula, String substituted, String value, String reason) {}
