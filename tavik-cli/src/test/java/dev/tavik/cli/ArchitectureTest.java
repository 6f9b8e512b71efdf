package dev.tavik.cli;

import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** The data's way through the house is one way: nothing points back up. */
class ArchitectureTest {
  private static final JavaClasses CLASSES =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("dev.tavik");

  @Test
  void arrowsPointOneWay() {
    layeredArchitecture()
        .consideringOnlyDependenciesInAnyPackage("dev.tavik..")
        .layer("numeric")
        .definedBy("dev.tavik.numeric..")
        .layer("result")
        .definedBy("dev.tavik.result..")
        .layer("count")
        .definedBy("dev.tavik.count..")
        .layer("proportion")
        .definedBy("dev.tavik.proportion..")
        .layer("association")
        .definedBy("dev.tavik.association..")
        .layer("bayes")
        .definedBy("dev.tavik.bayes..")
        .layer("simulation")
        .definedBy("dev.tavik.simulation..")
        .layer("planning")
        .definedBy("dev.tavik.planning..")
        .layer("tail")
        .definedBy("dev.tavik.tail..")
        .layer("study")
        .definedBy("dev.tavik.study..")
        .layer("data")
        .definedBy("dev.tavik.data..")
        .layer("report")
        .definedBy("dev.tavik.report..")
        .layer("cli")
        .definedBy("dev.tavik.cli..")
        .whereLayer("numeric")
        .mayNotAccessAnyLayer()
        .whereLayer("result")
        .mayNotAccessAnyLayer()
        .whereLayer("count")
        .mayOnlyAccessLayers("numeric", "result")
        .whereLayer("proportion")
        .mayOnlyAccessLayers("numeric", "result", "count")
        .whereLayer("association")
        .mayOnlyAccessLayers("numeric", "result", "count", "proportion")
        .whereLayer("bayes")
        .mayOnlyAccessLayers("numeric", "result", "count")
        .whereLayer("simulation")
        .mayOnlyAccessLayers("numeric", "result", "count", "proportion", "association")
        .whereLayer("planning")
        .mayOnlyAccessLayers(
            "numeric", "result", "count", "proportion", "bayes", "simulation", "tail")
        .whereLayer("tail")
        .mayOnlyAccessLayers("numeric", "result")
        .whereLayer("study")
        .mayOnlyAccessLayers(
            "numeric",
            "result",
            "count",
            "proportion",
            "association",
            "bayes",
            "simulation",
            "planning",
            "tail")
        .whereLayer("data")
        .mayOnlyAccessLayers(
            "result",
            "count",
            "proportion",
            "association",
            "bayes",
            "simulation",
            "planning",
            "tail",
            "study")
        .whereLayer("report")
        .mayOnlyAccessLayers(
            "result",
            "count",
            "proportion",
            "association",
            "bayes",
            "simulation",
            "planning",
            "tail",
            "study")
        .whereLayer("cli")
        .mayNotBeAccessedByAnyLayer()
        .check(CLASSES);
  }

  @Test
  void packagesHaveNoCycles() {
    slices().matching("dev.tavik.(*)..").should().beFreeOfCycles().check(CLASSES);
  }
}
