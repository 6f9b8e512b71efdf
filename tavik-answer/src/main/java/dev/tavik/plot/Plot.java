package dev.tavik.plot;

/** What one picture shows. */
public interface Plot {
  /** {@return what is shown, as a title} */
  String title();

  /** {@return how it is to be read, and by which methods it was made} */
  String subtitle();
}
