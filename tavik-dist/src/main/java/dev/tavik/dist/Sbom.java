package dev.tavik.dist;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Writes bills of materials in the format CycloneDX 1.6: what a package consists of, each part with
 * its version, its licence and the digest of its jar.
 */
public final class Sbom {
  private static final ObjectMapper JSON =
      new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT);

  private static final Pattern LISTED = Pattern.compile("([A-Z][^:]*): ([^: ]+):([^: ]+):([^: ]+)");

  /** Modules of Tavik that are published. */
  private static final List<String> MODULES =
      List.of("core", "answer", "data", "sql", "report", "chart", "cli", "spark");

  private static final String DUCKDB = "duckdb_jdbc";
  private static final Set<String> DRIVERS = Set.of(DUCKDB, "postgresql", "sqlite-jdbc");

  private final String version;
  private final String timestamp;
  private final List<Path> jars;
  private final List<String> listed;

  private Sbom(String version, String timestamp, List<Path> jars, List<String> listed) {
    this.version = version;
    this.timestamp = timestamp;
    this.jars = jars;
    this.listed = listed;
  }

  /**
   * Writes three: {@code tavik.cdx.json} of the program without the DuckDB driver, {@code
   * tavik-full.cdx.json} of the program with it, and {@code tavik-library.cdx.json} of the modules
   * that are published.
   *
   * @param arguments the version, the time of the build, the list of libraries with their licences,
   *     the folder for the files, the jar of the module for Spark, and the class path of the
   *     program
   * @throws IOException if a file can't be read or written
   */
  public static void main(String... arguments) throws IOException {
    List<Path> jars = new ArrayList<>(List.of(Path.of(arguments[4])));
    for (String jar : arguments[5].split(Pattern.quote(File.pathSeparator), -1)) {
      jars.add(Path.of(jar));
    }
    List<String> listed = Files.readAllLines(Path.of(arguments[2]));
    Sbom sbom = new Sbom(arguments[0], arguments[1], jars, listed);
    Path folder = Path.of(arguments[3]);
    sbom.write(
        folder.resolve("tavik.cdx.json"),
        "application",
        name -> !name.equals(DUCKDB) && !name.equals("tavik-spark"));
    sbom.write(
        folder.resolve("tavik-full.cdx.json"), "application", name -> !name.equals("tavik-spark"));
    sbom.write(
        folder.resolve("tavik-library.cdx.json"), "library", name -> !DRIVERS.contains(name));
  }

  /** Writes a bill once more, with the Java that is packaged too. */
  static void withJava(Path bill, Path to) throws IOException {
    ObjectNode read = (ObjectNode) JSON.readTree(bill.toFile());
    ObjectNode java = read.withArray("components").addObject();
    java.put("type", "platform").put("name", "OpenJDK");
    java.put("version", Runtime.version().toString());
    java.put("description", "A runtime of " + System.getProperty("java.vendor"));
    java.withArray("licenses")
        .addObject()
        .put("expression", "GPL-2.0-only WITH Classpath-exception-2.0");
    Files.writeString(to, JSON.writeValueAsString(read) + "\n");
  }

  private void write(Path to, String type, Predicate<String> taken) throws IOException {
    ObjectNode bill = JSON.createObjectNode();
    bill.put("bomFormat", "CycloneDX").put("specVersion", "1.6").put("version", 1);
    ObjectNode described = bill.putObject("metadata").put("timestamp", timestamp);
    licensed(
        described.putObject("component").put("type", type), "dev.tavik", "tavik", "Apache-2.0");
    ArrayNode components = bill.putArray("components");
    for (String module : MODULES) {
      if (taken.test("tavik-" + module)) {
        add(components, "Apache-2.0", "dev.tavik", "tavik-" + module, version);
      }
    }
    for (String line : listed) {
      Matcher library = LISTED.matcher(line);
      if (library.matches() && taken.test(library.group(3))) {
        add(components, library.group(1), library.group(2), library.group(3), library.group(4));
      }
    }
    Files.writeString(to, JSON.writeValueAsString(bill) + "\n");
  }

  private void licensed(ObjectNode component, String group, String name, String licence) {
    component.put("group", group).put("name", name).put("version", version);
    component.putArray("licenses").addObject().putObject("license").put("id", licence);
  }

  private void add(
      ArrayNode components, String licence, String group, String name, String ofVersion)
      throws IOException {
    String purl = "pkg:maven/" + group + "/" + name + "@" + ofVersion + "?type=jar";
    ObjectNode component = components.addObject();
    component.put("type", "library").put("bom-ref", purl);
    licensed(component, group, name, licence.replace("LGPL-2.1", "LGPL-2.1-or-later"));
    component.put("version", ofVersion).put("purl", purl);
    component
        .putArray("hashes")
        .addObject()
        .put("alg", "SHA-256")
        .put("content", digest(jar(name + "-" + ofVersion + ".jar")));
  }

  private Path jar(String name) {
    return jars.stream()
        .filter(jar -> jar.getFileName().toString().equals(name))
        .findFirst()
        .orElseThrow(() -> new IllegalStateException("no jar " + name + " among " + jars));
  }

  private static String digest(Path jar) throws IOException {
    try {
      return HexFormat.of()
          .formatHex(MessageDigest.getInstance("SHA-256").digest(Files.readAllBytes(jar)));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }
}
