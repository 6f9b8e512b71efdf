package dev.tavik.answer;

/**
 * Is a picture of an answer, drawn and described, for reports that show pictures.
 *
 * @param id the word by which the picture is chosen, such as {@code intervals}
 * @param title what it is called
 * @param description what it shows, for readers who can't see it
 * @param svg the drawing, one SVG element
 * @param file where forms that hold no pictures find it, relative to them
 */
public record Illustration(String id, String title, String description, String svg, String file) {
  /**
   * Makes a picture that forms without pictures expect beside them.
   *
   * @param id its word
   * @param title what stands above it
   * @param description what it is, in a sentence
   * @param svg the picture
   */
  public Illustration(String id, String title, String description, String svg) {
    this(id, title, description, svg, id + ".svg");
  }

  /**
   * {@return the picture as it lies somewhere else}
   *
   * @param folder the folder, relative to the report, with the beginning of the file's name
   */
  public Illustration in(String folder) {
    return new Illustration(id, title, description, svg, folder + id + ".svg");
  }
}
