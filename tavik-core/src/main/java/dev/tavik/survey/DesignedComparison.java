package dev.tavik.survey;

/**
 * Holds the comparison of two proportions of a designed sample: the first less the second, and
 * their ratios, with standard errors that know of clusters which have units of both.
 *
 * @param first the first proportion
 * @param second the second
 * @param difference the standard error of the difference
 * @param logRatio that of the logarithm of the ratio; infinite where it has none
 * @param logOddsRatio that of the logarithm of the odds ratio; infinite where it has none
 * @param df the degrees of freedom of the standard errors
 */
public record DesignedComparison(
    DesignedProportion first,
    DesignedProportion second,
    double difference,
    double logRatio,
    double logOddsRatio,
    double df) {}
