package dev.tavik.result;

/**
 * Holds an estimate from the data.
 *
 * @param quantity what is estimated
 * @param label whose it is, in the analyst's words
 * @param value the estimate
 * @param standardError its estimated standard error, from the estimate itself and not from any null
 *     value
 */
public record Estimate(Estimand quantity, String label, double value, double standardError) {}
