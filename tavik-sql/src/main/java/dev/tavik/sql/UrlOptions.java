package dev.tavik.sql;

import static dev.tavik.result.Figures.require;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.TreeSet;
import java.util.regex.Pattern;

/**
 * Which options the URL of a database may have. A driver takes many more, among them such as load
 * classes, run statements, write logs or lift the protection against writing; so these are allowed,
 * and no others.
 */
final class UrlOptions {
  private static final List<String> POSTGRESQL =
      List.of(
          "user",
          "ssl",
          "sslmode",
          "sslrootcert",
          "sslcert",
          "sslkey",
          "connectTimeout",
          "loginTimeout",
          "socketTimeout",
          "currentSchema",
          "targetServerType",
          "tcpKeepAlive");
  private static final List<String> SQLITE = List.of("busy_timeout", "immutable", "mode");
  private static final List<String> DUCKDB = List.of("threads", "memory_limit");
  private static final List<String> OTHER =
      List.of(
          "user",
          "database",
          "databaseName",
          "instanceName",
          "currentSchema",
          "encrypt",
          "trustServerCertificate",
          "hostNameInCertificate",
          "useSSL",
          "requireSSL",
          "sslMode",
          "serverTimezone",
          "connectTimeout",
          "loginTimeout",
          "socketTimeout");

  /** Another kind of database, or a server, in place of a file. */
  private static final Pattern ELSEWHERE =
      Pattern.compile("(?i)//.*|[a-z][a-z0-9+_.-]+:.*|.*://.*|.*:resource:.*");

  private UrlOptions() {}

  /**
   * Checks a URL against the list.
   *
   * @throws IllegalArgumentException if it has an option that isn't allowed; the value isn't told
   */
  static void requireAllowed(String url) {
    String kind = Drivers.kind(url);
    String rest = url.substring(kind.length());
    boolean file = kind.equals("jdbc:sqlite:") || kind.equals("jdbc:duckdb:");
    int options = firstOf(rest, kind.equals("jdbc:sqlite:") ? "?" : "?;");
    String place = rest.substring(0, options);
    require(
        !file || !ELSEWHERE.matcher(place.replaceFirst("^file:(//(?=/))?", "")).matches(),
        "a %s database must be a file on this machine; its URL names something else",
        kind.substring(5, kind.length() - 1));
    require(
        file || !place.contains("("), "the URL of a database must name a server without brackets");
    List<String> allowed =
        switch (kind) {
          case "jdbc:postgresql:" -> POSTGRESQL;
          case "jdbc:sqlite:" -> SQLITE;
          case "jdbc:duckdb:" -> DUCKDB;
          default -> OTHER;
        };
    Arrays.stream(rest.substring(options).split("[?&;]"))
        .filter(option -> !option.isEmpty())
        .forEach(option -> requireAllowed(option, allowed));
  }

  private static void requireAllowed(String option, List<String> allowed) {
    int equals = option.indexOf('=');
    String name = equals < 0 ? option : option.substring(0, equals);
    require(
        allowed.contains(name),
        "the URL of a database may have the options %s, got '%s'",
        String.join(", ", new TreeSet<>(allowed)),
        name);
    require(
        !name.equals("mode") || option.toLowerCase(Locale.ROOT).equals("mode=ro"),
        "mode in the URL of a database must be ro");
  }

  private static int firstOf(String text, String marks) {
    for (int i = 0; i < text.length(); i++) {
      if (marks.indexOf(text.charAt(i)) >= 0) {
        return i;
      }
    }
    return text.length();
  }
}
