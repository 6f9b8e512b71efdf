/**
 * Makes what an installation has beside the program: manual pages, licences, a Java of its own. It
 * runs while a distribution is packaged and is part of none.
 */
@NullMarked
package dev.tavik.dist;

import org.jspecify.annotations.NullMarked;
