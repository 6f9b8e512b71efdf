package dev.tavik.answer;

import dev.tavik.result.Method;
import dev.tavik.result.NotApplicableReason;

/**
 * A method that gives no result, standing where its result would.
 *
 * @param method the method
 * @param code why, for programs
 * @param reason why, and what to do instead, in words
 */
public record NotApplicable(Method method, NotApplicableReason code, String reason) {}
