package dev.tavik.sql;

import dev.tavik.data.DataException;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.MalformedURLException;
import java.net.URISyntaxException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Driver;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Properties;
import java.util.ServiceConfigurationError;
import java.util.ServiceLoader;
import java.util.stream.Stream;

/**
 * Finds the driver of a database: on the class path, in the folder {@code drivers} beside the
 * program, or where it was said. None is loaded before it is asked for.
 */
final class Drivers {
  private static final Properties KNOWN = known();

  private Drivers() {}

  private static Properties known() {
    Properties known = new Properties();
    try (InputStream in = Drivers.class.getResourceAsStream("drivers.properties")) {
      known.load(Objects.requireNonNull(in));
      return known;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  static Driver of(String url, Optional<Path> said) {
    List<URL> jars = new ArrayList<>();
    said.ifPresent(place -> jars.addAll(jars(place)));
    besideProgram().filter(Files::isDirectory).ifPresent(place -> jars.addAll(jars(place)));
    ClassLoader loader =
        jars.isEmpty()
            ? Drivers.class.getClassLoader()
            : new URLClassLoader(jars.toArray(URL[]::new), Drivers.class.getClassLoader());
    return found(loader, url).orElseThrow(() -> missing(url));
  }

  private static DataException missing(String url) {
    String[] known = KNOWN.getProperty(kind(url), "").split("\\|");
    if (known.length < 3) {
      return new DataException(
          DataException.Code.UNREADABLE,
          "no driver for %s; name the jar of one as the driver path",
          kind(url));
    }
    return new DataException(
        DataException.Code.UNREADABLE,
        "%s the driver %s (%s), which isn't installed; put that file %s",
        known[0],
        known[1],
        known[2],
        besideProgram().map(folder -> "into the folder " + folder).orElse("on the class path"));
  }

  /** The kind of database, which is safe to show. */
  static String kind(String url) {
    return url.substring(0, url.indexOf(':', 5) + 1);
  }

  private static Optional<Driver> found(ClassLoader loader, String url) {
    for (Iterator<Driver> drivers = ServiceLoader.load(Driver.class, loader).iterator(); ; ) {
      try {
        if (!drivers.hasNext()) {
          return Optional.empty();
        }
        Driver driver = drivers.next();
        if (driver.acceptsURL(url)) {
          return Optional.of(driver);
        }
      } catch (SQLException | ServiceConfigurationError e) {
        // A driver that fails to answer doesn't support this URL; the next one is tried.
      }
    }
  }

  /** The launcher says where; otherwise the folder lies beside the program. */
  private static Optional<Path> besideProgram() {
    try {
      String said = System.getProperty("tavik.drivers");
      Path drivers =
          said != null
              ? Path.of(said)
              : Path.of(Drivers.class.getProtectionDomain().getCodeSource().getLocation().toURI())
                  .resolveSibling("lib")
                  .resolve("drivers");
      return said != null || Files.isDirectory(drivers) ? Optional.of(drivers) : Optional.empty();
    } catch (URISyntaxException | RuntimeException e) {
      return Optional.empty();
    }
  }

  private static List<URL> jars(Path place) {
    try (Stream<Path> files = Files.isDirectory(place) ? Files.list(place) : Stream.of(place)) {
      List<URL> jars = new ArrayList<>();
      for (Path file : files.filter(each -> each.toString().endsWith(".jar")).sorted().toList()) {
        if (!Files.isReadable(file)) {
          throw new DataException(DataException.Code.UNREADABLE, "there is no driver jar " + file);
        }
        jars.add(file.toUri().toURL());
      }
      return jars;
    } catch (MalformedURLException e) {
      throw new IllegalStateException(e);
    } catch (IOException e) {
      throw DataException.unreadable(place.toString(), e);
    }
  }
}
