package dev.tavik.data;

import java.nio.charset.StandardCharsets;
import java.util.List;

/** The first bytes of a file, by which its kind is known. */
final class FileHeader {
  private final byte[] bytes;

  FileHeader(byte[] bytes) {
    this.bytes = bytes;
  }

  /** Returns how many there are. */
  int length() {
    return bytes.length;
  }

  /** Whether a byte is zero. */
  boolean isZero(int place) {
    return bytes[place] == 0;
  }

  /** Whether it begins with these characters, each one byte. */
  boolean startsWith(String characters) {
    return hasAt(0, characters);
  }

  /** Whether these characters stand at a place. */
  boolean hasAt(int place, String characters) {
    byte[] wanted = characters.getBytes(StandardCharsets.ISO_8859_1);
    for (int i = 0; i < wanted.length; i++) {
      if (place + i >= bytes.length || bytes[place + i] != wanted[i]) {
        return false;
      }
    }
    return true;
  }

  /** Its text, as far as it is of one byte a character, without a byte-order mark and blanks. */
  String text() {
    // Of UTF-16 the other byte of such a character is zero.
    String text = new String(bytes, StandardCharsets.ISO_8859_1).replace("\0", "");
    for (String mark : List.of("\u00EF\u00BB\u00BF", "\u00FE\u00FF", "\u00FF\u00FE")) {
      text = text.startsWith(mark) ? text.substring(mark.length()) : text;
    }
    return text.stripLeading();
  }
}
