package dev.tavik.answer;

import dev.tavik.result.Method;

/**
 * A method that gives no result, standing where its result would.
 *
 * @param method the method
 * @param reason why, and what to do instead
 */
public record NotApplicable(Method method, String reason) {}
