package dev.tavik.proofs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.function.DoubleSupplier;

/**
 * Reference values that take seconds to compute, kept in a file. A test hands over the slow,
 * independent computation; the usual build reads its value from the file. The profile {@code
 * proofs} computes each value anew and holds it against the file; {@code -Dtavik.proofs=write}
 * writes the file.
 */
public final class KeptValues {
  private static final String PROOFS = System.getProperty("tavik.proofs", "false");

  /** Relative difference that the order of the additions may make. */
  private static final double ROUNDING = 1e-13;

  private final Path file;
  private final Map<String, Double> values = new TreeMap<>();

  private KeptValues(Path file) {
    this.file = file;
  }

  /**
   * Reads kept values.
   *
   * @param name name of a file of lines {@code key = value} in the folder of kept values
   * @return its values
   */
  public static KeptValues of(String name) {
    KeptValues kept = new KeptValues(Path.of("src/test/resources/dev/tavik/proofs", name));
    try {
      if (Files.exists(kept.file)) {
        for (String line : Files.readAllLines(kept.file)) {
          int equals = line.lastIndexOf(" = ");
          kept.values.put(line.substring(0, equals), Double.valueOf(line.substring(equals + 3)));
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return kept;
  }

  /**
   * The value of a key.
   *
   * @param key what the value belongs to
   * @param slow the computation of the value
   * @return the kept value; with {@code proofs} only if the computation agrees with it
   */
  public synchronized double value(String key, DoubleSupplier slow) {
    if (PROOFS.equals("write")) {
      values.put(key, slow.getAsDouble());
      write();
    }
    assertThat(values).as("%s; -Dtavik.proofs=write writes it", file).containsKey(key);
    double kept = Objects.requireNonNull(values.get(key));
    if (PROOFS.equals("true")) {
      assertThat(slow.getAsDouble()).as(key).isCloseTo(kept, within(ROUNDING * Math.abs(kept)));
    }
    return kept;
  }

  private void write() {
    StringBuilder text = new StringBuilder();
    values.forEach((key, value) -> text.append(key).append(" = ").append(value).append('\n'));
    try {
      Files.createDirectories(file.getParent());
      Files.writeString(file, text);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
