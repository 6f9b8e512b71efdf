package dev.tavik.study.cross;

import dev.tavik.result.TestResult;

/**
 * Two rows of a table compared over its columns.
 *
 * @param first the name of one row
 * @param second the name of the other
 * @param test the test, its p-value also adjusted by Holm's method for the number of pairs
 */
record RowPair(String first, String second, TestResult test) {}
