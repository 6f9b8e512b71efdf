/** Short runnable programs over the demo data, and the generator that made these data. */
@NullMarked
package dev.tavik.examples;

import org.jspecify.annotations.NullMarked;
