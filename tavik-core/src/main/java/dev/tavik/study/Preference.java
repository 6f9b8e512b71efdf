package dev.tavik.study;

import dev.tavik.result.Method;

/**
 * The test and the interval that the verdict rests on.
 *
 * @param test the public id of the test
 * @param interval the public id of the interval
 * @param reason why these
 */
public record Preference(Method test, Method interval, String reason) {}
