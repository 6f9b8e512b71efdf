package dev.tavik.study;

/**
 * The test and the interval that the verdict rests on.
 *
 * @param test the public id of the test
 * @param interval the public id of the interval
 * @param reason why these
 */
public record Preference(String test, String interval, String reason) {}
