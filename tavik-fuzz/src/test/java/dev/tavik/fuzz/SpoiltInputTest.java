package dev.tavik.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Input that nobody means, by every way in: {@code -Dtavik.fuzz=100000} spoils more of it than the
 * usual hundreds, {@code -Dtavik.fuzz.seed=7} others. What was once found lies in {@code
 * src/test/found}, and is given again each time.
 */
class SpoiltInputTest {
  private static final int CASES =
      Integer.getInteger("tavik.fuzz", Boolean.getBoolean("tavik.proofs") ? 1000 : 50);
  private static final long SEED = Long.getLong("tavik.fuzz.seed", 20_261_128L);
  private static final Path SEEDS = Path.of("src/test/seeds");
  private static final Path FOUND = Path.of("src/test/found");

  private static List<byte[]> files(Path folder) throws IOException {
    List<byte[]> files = new ArrayList<>();
    if (Files.isDirectory(folder)) {
      try (Stream<Path> all = Files.list(folder)) {
        for (Path file : all.sorted().toList()) {
          files.add(Files.readAllBytes(file));
        }
      }
    }
    return files;
  }

  @ParameterizedTest
  @EnumSource
  void isAnsweredOrRefused(Entry entry) throws IOException {
    String name = entry.name().toLowerCase(Locale.ROOT);
    List<byte[]> seeds = new ArrayList<>(files(SEEDS.resolve(name)));
    if (entry == Entry.FILE) {
      seeds.add(Files.readAllBytes(Path.of("../demo/week-18.xlsx")));
    }
    assertThat(seeds).isNotEmpty();
    List<byte[]> given = new ArrayList<>(seeds);
    given.addAll(files(FOUND.resolve(name)));
    given.forEach(bytes -> give(entry, bytes));
    Mutations mutations = new Mutations(SEED + name.hashCode(), seeds);
    for (int i = 0; i < CASES; i++) {
      give(entry, mutations.next());
    }
  }

  /** What fails is shown as it was given, to be kept. */
  private static void give(Entry entry, byte[] bytes) {
    try {
      entry.given(bytes);
    } catch (Throwable e) {
      throw new AssertionError(
          "%s: %s%n%s"
              .formatted(
                  e, new String(bytes, StandardCharsets.UTF_8), HexFormat.of().formatHex(bytes)),
          e);
    }
  }
}
