package dev.tavik.result;

/**
 * A method that gives no result, standing where its result would.
 *
 * @param method the public id of the method
 * @param reason why, and what to do instead
 */
public record Refusal(Method method, String reason) {}
