package dev.tavik.cli;

import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.library.Architectures.LayeredArchitecture;
import dev.tavik.result.Method;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Dependencies point downwards only. */
class ArchitectureTest {
  private static final JavaClasses CLASSES =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("dev.tavik");

  /** What each room may use. */
  private static final Map<String, List<String>> ARROWS = arrows();

  private static Map<String, List<String>> arrows() {
    List<String> methods =
        List.of(
            "numeric",
            "result",
            "count",
            "proportion",
            "association",
            "bayes",
            "simulation",
            "planning",
            "tail",
            "survey",
            "answer",
            "plot",
            "phrase");
    List<String> room = with(methods, "study", "study.parts");
    Map<String, List<String>> arrows = new LinkedHashMap<>();
    arrows.put("numeric", List.of());
    arrows.put("result", List.of());
    arrows.put("count", List.of("numeric", "result"));
    arrows.put("proportion", List.of("numeric", "result", "count"));
    arrows.put("association", List.of("numeric", "result", "count", "proportion"));
    arrows.put("bayes", List.of("numeric", "result", "count"));
    arrows.put("simulation", List.of("numeric", "result", "count", "proportion", "association"));
    arrows.put("tail", List.of("numeric", "result"));
    arrows.put(
        "survey", List.of("numeric", "result", "count", "proportion", "association", "tail"));
    arrows.put(
        "planning",
        List.of("numeric", "result", "count", "proportion", "bayes", "simulation", "tail"));
    arrows.put("plot", List.of("result"));
    arrows.put("answer", List.of("result", "bayes", "simulation", "plot"));
    arrows.put("phrase", List.of("result", "count", "bayes", "planning", "answer"));
    arrows.put("study", methods);
    arrows.put("study.parts", with(methods, "study"));
    CLASSES.stream()
        .map(each -> each.getPackageName())
        .filter(each -> each.startsWith("dev.tavik.study."))
        .forEach(each -> arrows.putIfAbsent(each.substring("dev.tavik.".length()), room));
    arrows.put("study.cross", with(room, "study.compare"));
    arrows.put("study.sweep", with(room, "study.cross"));
    arrows.put(
        "study.simulated",
        with(room, "study.rate", "study.compare", "study.paired", "study.shares", "study.cross"));
    List<String> rooms = new ArrayList<>(room);
    arrows.keySet().stream()
        .filter(each -> each.startsWith("study.") && !each.equals("study.parts"))
        .forEach(rooms::add);
    rooms.remove("numeric");
    rooms.remove("study.parts");
    rooms.remove("phrase");
    arrows.put("data.words", rooms);
    arrows.put("data", List.of("result", "count"));
    arrows.put("data.study", with(rooms, "data", "data.words"));
    arrows.put("sql", List.of("result", "count", "data"));
    // Pictures and formats know answers, and no question.
    arrows.put("chart", List.of("result", "count", "simulation", "answer", "plot"));
    arrows.put("report", List.of("result", "count", "answer", "study"));
    arrows.put("cli", with(rooms, "data", "data.study", "data.words", "chart", "report"));
    return arrows;
  }

  private static List<String> with(List<String> some, String... more) {
    List<String> all = new ArrayList<>(some);
    all.addAll(List.of(more));
    return all;
  }

  @Test
  void arrowsPointOneWay() {
    LayeredArchitecture house =
        layeredArchitecture().consideringOnlyDependenciesInAnyPackage("dev.tavik..");
    for (String each : ARROWS.keySet()) {
      house = house.layer(each).definedBy("dev.tavik." + each);
    }
    for (Map.Entry<String, List<String>> each : ARROWS.entrySet()) {
      house =
          each.getValue().isEmpty()
              ? house.whereLayer(each.getKey()).mayNotAccessAnyLayer()
              : house
                  .whereLayer(each.getKey())
                  .mayOnlyAccessLayers(each.getValue().toArray(String[]::new));
    }
    house.check(CLASSES);
  }

  @Test
  void packagesHaveNoCycles() {
    slices().matching("dev.tavik.(*)..").should().beFreeOfCycles().check(CLASSES);
    slices().matching("dev.tavik.study.(*)..").should().beFreeOfCycles().check(CLASSES);
  }

  /** Two test classes of a module run at a time in one process: none may set what others see. */
  @Test
  void noTestSetsWhatAllSee() throws IOException {
    Pattern setting =
        Pattern.compile(
            "System\\.set(Property|Properties|Out|Err|In)\\(|\\.setDefault(Uncaught\\w+)?\\(");
    List<String> found = new ArrayList<>();
    try (Stream<Path> files = Files.walk(Path.of(".."))) {
      for (Path file :
          files
              .filter(each -> each.toString().matches(".*/src/test/java/.*\\.java"))
              .filter(each -> !each.endsWith("LocalesTest.java"))
              .filter(each -> !each.endsWith("ArchitectureTest.java"))
              .toList()) {
        if (setting.matcher(Files.readString(file)).find()) {
          found.add(file.toString());
        }
      }
    }
    assertThat(found).isEmpty();
  }

  /** Guides list every family of methods; a new family can't be forgotten. */
  @Test
  void everyFamilyOfMethodsIsKnownToTheGuides() {
    Set<String> listed =
        GuideParts.FAMILIES.values().stream()
            .flatMap(List::stream)
            .map(method -> method.getClass().getName())
            .collect(Collectors.toSet());
    assertThat(
            CLASSES.stream()
                .filter(each -> each.isEnum() && each.isAssignableTo(Method.class))
                .map(JavaClass::getName))
        .isSubsetOf(listed);
  }

  /** Of a package with more than ten types a third is public; vocabularies are made to be used. */
  @Test
  void mostTypesAreHidden() {
    Set<String> vocabularies = Set.of("result", "count", "answer", "planning", "bayes");
    Set<String> notExported = Set.of("numeric", "phrase", "study.parts");
    Map<String, long[]> shares = new TreeMap<>();
    CLASSES.stream()
        .filter(each -> !each.isAnonymousClass() && !each.isNestedClass())
        .filter(each -> !each.getSimpleName().equals("package-info"))
        .forEach(
            each -> {
              long[] share =
                  shares.computeIfAbsent(
                      each.getPackageName().replace("dev.tavik.", ""), key -> new long[2]);
              share[0] += each.getModifiers().contains(JavaModifier.PUBLIC) ? 1 : 0;
              share[1]++;
            });
    shares.forEach(
        (name, share) -> {
          if (share[1] > 10 && !vocabularies.contains(name) && !notExported.contains(name)) {
            assertThat((double) share[0] / share[1])
                .as("%s: %s of %s types are public", name, share[0], share[1])
                .isLessThan(0.43);
          }
        });
  }
}
