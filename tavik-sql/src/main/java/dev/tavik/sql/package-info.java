/**
 * Counts pushed down. {@link dev.tavik.sql.SqlSource} asks a database how often each combination of
 * the columns of a question occurs, in one statement, read-only, with a time-out; {@link
 * dev.tavik.sql.DuckEngine} asks the same of a Parquet file. What databases do differently is in
 * {@code Dialect}; drivers are found by {@code Drivers} when they are asked for, passwords by
 * {@code Credentials} and never in an argument.
 */
@NullMarked
package dev.tavik.sql;

import org.jspecify.annotations.NullMarked;
