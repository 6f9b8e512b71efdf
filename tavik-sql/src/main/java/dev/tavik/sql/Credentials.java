package dev.tavik.sql;

import dev.tavik.data.DataException;
import java.io.IOException;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermission;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** User and password: from a file that was named, else from the environment, else the driver's. */
final class Credentials {
  private Credentials() {}

  /** Adds user and password if they are known. */
  static void add(Properties properties, Optional<Path> file, Map<String, String> environment) {
    put(properties, "user", environment.get("TAVIK_DB_USER"));
    put(properties, "password", environment.get("TAVIK_DB_PASSWORD"));
    file.ifPresent(
        named -> {
          Properties read = read(named);
          put(properties, "user", read.getProperty("user"));
          put(properties, "password", read.getProperty("password"));
        });
  }

  private static void put(Properties properties, String key, @Nullable String value) {
    if (value != null && !value.isEmpty()) {
      properties.setProperty(key, value);
    }
  }

  private static Properties read(Path file) {
    try {
      requirePrivate(file);
      Properties read = new Properties();
      try (Reader text = Files.newBufferedReader(file, StandardCharsets.UTF_8)) {
        read.load(text);
      }
      return read;
    } catch (IOException e) {
      throw DataException.unreadable(file.toString(), e);
    }
  }

  private static void requirePrivate(Path file) throws IOException {
    if (Files.getFileAttributeView(file, PosixFileAttributeView.class) == null) {
      return;
    }
    Set<PosixFilePermission> others = Files.getPosixFilePermissions(file);
    others.remove(PosixFilePermission.OWNER_READ);
    others.remove(PosixFilePermission.OWNER_WRITE);
    if (!others.isEmpty()) {
      throw new DataException(
          DataException.Code.UNREADABLE,
          "%s holds a password and may be read by others than you; chmod 600 %s",
          file,
          file);
    }
  }
}
