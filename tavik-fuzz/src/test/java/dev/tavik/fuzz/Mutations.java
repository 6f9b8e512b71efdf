package dev.tavik.fuzz;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Random;

/**
 * Spoils bytes: a few places changed, cut, doubled, spliced with another's, or with a hostile word.
 */
final class Mutations {
  private static final int LONGEST = 1 << 16;

  private static final List<byte[]> WORDS =
      List.of(
              "",
              "\"",
              "\"\"",
              "'",
              ",",
              ";",
              "\t",
              "|",
              "\n",
              "\r",
              "\r\n",
              "=",
              "%",
              "/",
              "//",
              "-",
              "--",
              "0",
              "-1",
              "1e308",
              "1e-308",
              "NaN",
              "Infinity",
              "null",
              "{",
              "}",
              "[",
              "]",
              ":",
              "&",
              "<",
              ">",
              "]]>",
              "<!DOCTYPE a [<!ENTITY b 'c'>]>",
              "&b;",
              "\0",
              "\u0007",
              "\u001b[2J",
              "\u202e",
              "\ufeff",
              "ä",
              "日本",
              "👩‍👩‍👧",
              "9223372036854775807",
              "-9223372036854775808",
              "1000000000000",
              "99999999999999999999",
              "0.1",
              ".5",
              "1,5",
              "1.234,5",
              "50%",
              "150%",
              "14/400",
              "400/14",
              "A=1/2",
              "${A}",
              "*anchor",
              "&anchor a",
              "!!java",
              "- ",
              "  ",
              "#",
              "# ",
              "\\",
              "\\u0000",
              "N/A",
              "total",
              "Total",
              "1 2; 3 4",
              "--json",
              "--help",
              "--alpha",
              "--level",
              "--tests",
              "all",
              "--where",
              "a=b",
              "--against",
              "--group",
              "--merge",
              "a+b=c")
          .stream()
          .map(word -> word.getBytes(StandardCharsets.UTF_8))
          .toList();

  private final Random random;
  private final List<byte[]> seeds;

  Mutations(long seed, List<byte[]> seeds) {
    this.random = new Random(seed);
    this.seeds = seeds;
  }

  byte[] next() {
    byte[] bytes = any();
    for (int i = random.nextInt(6); i >= 0; i--) {
      bytes = once(bytes);
    }
    return bytes.length > LONGEST ? Arrays.copyOf(bytes, LONGEST) : bytes;
  }

  private byte[] any() {
    return seeds.get(random.nextInt(seeds.size()));
  }

  private byte[] once(byte[] bytes) {
    int from = bytes.length == 0 ? 0 : random.nextInt(bytes.length);
    int length =
        Math.min(bytes.length - from, 1 + random.nextInt(random.nextInt(4) == 0 ? 400 : 8));
    return switch (random.nextInt(7)) {
      case 0 -> changed(bytes, from);
      case 1 -> joined(bytes, from, new byte[0], from + length);
      case 2 -> joined(bytes, from, Arrays.copyOfRange(bytes, from, from + length), from);
      case 3 -> {
        byte[] other = any();
        int place = other.length == 0 ? 0 : random.nextInt(other.length);
        yield joined(
            bytes,
            from,
            Arrays.copyOfRange(other, place, Math.min(other.length, place + 100)),
            from);
      }
      case 4 -> Arrays.copyOf(bytes, from);
      default ->
          joined(
              bytes,
              from,
              WORDS.get(random.nextInt(WORDS.size())),
              from + (random.nextBoolean() ? length : 0));
    };
  }

  private byte[] changed(byte[] bytes, int at) {
    byte[] changed = bytes.clone();
    if (changed.length > 0) {
      changed[at] = (byte) random.nextInt(256);
    }
    return changed;
  }

  private static byte[] joined(byte[] bytes, int to, byte[] more, int from) {
    ByteArrayOutputStream joined = new ByteArrayOutputStream();
    joined.write(bytes, 0, to);
    joined.writeBytes(more);
    joined.write(bytes, from, bytes.length - from);
    return joined.toByteArray();
  }
}
