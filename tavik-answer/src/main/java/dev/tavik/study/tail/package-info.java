/**
 * A probability or a critical value of a distribution. Begin with {@link
 * dev.tavik.study.tail.TailQuestion}.
 */
@NullMarked
package dev.tavik.study.tail;

import org.jspecify.annotations.NullMarked;
