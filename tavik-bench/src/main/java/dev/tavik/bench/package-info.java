/**
 * How long methods take, warm, on one core:
 *
 * <pre>{@code
 * mvn -q compile exec:java -pl tavik-bench -am -Dexec.mainClass=dev.tavik.bench.Methods
 * }</pre>
 *
 * <p>{@code tavik-bench/whole-question.sh} times whole questions against a Java machine that does
 * nothing.
 */
@NullMarked
package dev.tavik.bench;

import org.jspecify.annotations.NullMarked;
