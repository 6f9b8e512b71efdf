package dev.tavik.examples;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.tools.Diagnostic;
import javax.tools.DiagnosticCollector;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The examples in the pages of packages compile, each beside what its page takes as given. */
class PackagePagesTest {
  private static final Pattern EXAMPLE =
      Pattern.compile("<pre>\\{@code\n(.*?)\n \\* }</pre>", Pattern.DOTALL);
  private static final List<String> MODULES = List.of("core", "answer", "data", "report", "chart");

  /** What an example takes as given, by its package. */
  private static final Map<String, String> GIVEN =
      Map.of(
          "dev.tavik.association", "CrossTable table",
          "dev.tavik.bayes",
              "CategoryCounts counts, List<java.math.BigInteger> claimed, CrossTable table",
          "dev.tavik.survey", "SurveyCounts counts",
          "dev.tavik.study.plan", "PowerDesign design",
          "dev.tavik.study.shares", "CategoryCounts counts",
          "dev.tavik.study.simulated", "RateQuestion question");

  private static final class Source extends SimpleJavaFileObject {
    private final String text;

    Source(String name, String text) {
      super(URI.create("string:///" + name + ".java"), Kind.SOURCE);
      this.text = text;
    }

    @Override
    public CharSequence getCharContent(boolean lenient) {
      return text;
    }
  }

  @Test
  void examplesCompile(@TempDir Path classes) throws IOException {
    Map<Path, String> pages = pages();
    Set<String> packages = new TreeSet<>(Set.of("java.nio.file", "java.util"));
    packages.addAll(exported());
    String imports =
        packages.stream().map(each -> "import " + each + ".*;\n").collect(Collectors.joining());
    List<Source> sources = new ArrayList<>();
    pages.forEach(
        (page, text) -> {
          for (Matcher example = EXAMPLE.matcher(text); example.find(); ) {
            String name = "Example" + sources.size();
            String code = example.group(1).replaceAll("(?m)^ \\* ?", "");
            String given = GIVEN.getOrDefault(nameOf(page), "");
            sources.add(
                new Source(
                    name,
                    "// %s%n%sclass %s { void run(%s) throws Exception {%n%s%n}}%n"
                        .formatted(nameOf(page), imports, name, given, code)));
          }
        });
    assertThat(sources).hasSizeGreaterThan(20);
    assertThat(compiled(sources, classes)).isEmpty();
  }

  private static List<String> compiled(List<Source> sources, Path classes) {
    JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
    DiagnosticCollector<JavaFileObject> told = new DiagnosticCollector<>();
    List<String> options =
        List.of(
            "-d", classes.toString(), "-cp", System.getProperty("java.class.path"), "-proc:none");
    compiler.getTask(null, null, told, options, null, sources).call();
    return told.getDiagnostics().stream()
        .filter(each -> each.getKind() == Diagnostic.Kind.ERROR)
        .map(String::valueOf)
        .toList();
  }

  private static Map<Path, String> pages() throws IOException {
    Map<Path, String> pages = new TreeMap<>();
    for (String module : MODULES) {
      Path sources = Path.of("..", "tavik-" + module, "src", "main", "java");
      try (Stream<Path> files = Files.walk(sources)) {
        for (Path page : files.filter(file -> file.endsWith("package-info.java")).toList()) {
          pages.put(sources.relativize(page), Files.readString(page));
        }
      }
    }
    return pages;
  }

  /** The packages that a user may touch. */
  private static Set<String> exported() throws IOException {
    Set<String> exported = new TreeSet<>();
    for (String module : MODULES) {
      Path descriptor = Path.of("..", "tavik-" + module, "src/main/java/module-info.java");
      Pattern.compile("exports ([a-z.]+);")
          .matcher(Files.readString(descriptor))
          .results()
          .forEach(each -> exported.add(each.group(1)));
    }
    return exported;
  }

  private static String nameOf(Path page) {
    List<String> names = new ArrayList<>();
    page.subpath(0, page.getNameCount() - 1).forEach(name -> names.add(name.toString()));
    return String.join(".", names);
  }
}
