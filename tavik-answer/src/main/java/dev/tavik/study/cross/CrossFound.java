package dev.tavik.study.cross;

import dev.tavik.answer.Caution;
import dev.tavik.answer.NotApplicable;
import dev.tavik.answer.Verdict;
import dev.tavik.phrase.TableVerdicts;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.AdjustedP;
import dev.tavik.study.parts.DecisionCautions;
import dev.tavik.study.parts.DrawnTest;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * The results of all methods for two classifications; verdict, cautions and findings are derived
 * from it.
 *
 * @param asked what is asked
 * @param data what it is asked of
 * @param tests the tests; none if the data can't decide
 * @param refusals the tests that declined
 * @param standingOut the p-value of each cell alone, row by row, adjusted for all
 * @param preferred the test that the verdict rests on
 */
record CrossFound(
    CrossAsked asked,
    CrossData data,
    List<TestResult> tests,
    List<NotApplicable> refusals,
    List<AdjustedP> standingOut,
    Method preferred) {

  boolean decided() {
    return !tests.isEmpty();
  }

  TestResult test() {
    return tests.stream().filter(each -> each.method() == preferred).findFirst().orElseThrow();
  }

  AdjustedP out(int row, int column) {
    return standingOut.get(row * data.columns().size() + column);
  }

  boolean standsOut(int row, int column) {
    return out(row, column).rejects(asked.alpha());
  }

  List<Caution> cautions() {
    List<Caution> cautions = new ArrayList<>(data.grave(this));
    if (decided()) {
      DecisionCautions decisions = new DecisionCautions(tests, asked.alpha(), test());
      cautions.addAll(decisions.disagree());
      cautions.addAll(decisions.nearAlpha());
    }
    cautions.addAll(data.further(this));
    return cautions;
  }

  Verdict verdict() {
    if (!decided()) {
      return TableVerdicts.undecided(asked.label(), "whether rows and columns are associated");
    }
    boolean rejects = test().rejects(asked.alpha());
    String finding =
        data.ofOrder(this)
            .orElseGet(() -> TableVerdicts.associated(rejects, rejects ? whereItIs() : largest()));
    return data.resting(
        this,
        TableVerdicts.association(
            asked.label(),
            finding,
            data.cramersV(),
            DrawnTest.pEquals(test(), data.rows().size() * data.columns().size()),
            test(),
            asked.alpha(),
            data.ofOrder(this).isPresent() ? "cause" : "direction or cause"));
  }

  private record Place(int row, int column, double size) {}

  /** In a table of two rows and two columns all cells depart equally, and the first is named. */
  private List<Place> places() {
    List<Place> places = new ArrayList<>();
    for (int i = 0; i < data.rows().size(); i++) {
      for (int j = 0; j < data.columns().size(); j++) {
        double residual = data.residual(i, j);
        places.add(new Place(i, j, Double.isNaN(residual) ? 0 : Math.abs(residual)));
      }
    }
    if (isTwoByTwo()) {
      return places.subList(0, 1);
    }
    // The farthest from independence first.
    places.sort(Comparator.comparingDouble(Place::size).reversed());
    return places;
  }

  private boolean isTwoByTwo() {
    return data.rows().size() == 2 && data.columns().size() == 2;
  }

  private String whereItIs() {
    List<Place> places = places();
    if (isTwoByTwo()) {
      return departure(places.get(0));
    }
    return TableVerdicts.standingOut(
        places.stream()
            .filter(place -> standsOut(place.row(), place.column()))
            .map(this::departure)
            .toList(),
        departure(places.get(0)),
        places.size(),
        "cell",
        "cells");
  }

  private String largest() {
    Place place = places().get(0);
    return place.size() < 1e-9
        ? TableVerdicts.independent()
        : TableVerdicts.largest(departure(place));
  }

  private String departure(Place place) {
    return data.departure(place.row(), place.column());
  }
}
