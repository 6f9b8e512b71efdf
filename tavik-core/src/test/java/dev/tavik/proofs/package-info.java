/** What the usual build takes from files, and the profile {@code proofs} computes anew. */
@org.jspecify.annotations.NullMarked
package dev.tavik.proofs;
