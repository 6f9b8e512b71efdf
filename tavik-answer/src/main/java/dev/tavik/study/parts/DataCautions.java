package dev.tavik.study.parts;

import dev.tavik.answer.Caution;
import dev.tavik.count.SampleDesign;
import dev.tavik.phrase.SourceCautions;
import dev.tavik.result.Figures;
import dev.tavik.study.Provenance;
import java.util.ArrayList;
import java.util.List;

/** What to be careful of because of the file that the counts came from. */
public final class DataCautions {
  private DataCautions() {}

  /**
   * Cautions about the data behind an answer.
   *
   * @param from the source
   * @param used how many units were counted
   * @return the cautions
   */
  public static List<Caution> of(Provenance from, long used) {
    List<Caution> cautions = new ArrayList<>();
    if (from.rows().missing().values().stream().anyMatch(each -> each > 0)) {
      cautions.add(SourceCautions.missing(from.rows().missing(), used));
    }
    cautions.addAll(weights(from));
    from.doubts().similarLevels().stream()
        .map(SourceCautions::similarLevels)
        .forEach(cautions::add);
    if (!from.doubts().totals().isEmpty()) {
      cautions.add(SourceCautions.totals(from.doubts().totals()));
    }
    if (from.doubts().mayBeTotal() != null) {
      cautions.add(SourceCautions.mayBeTotal(from.doubts().mayBeTotal()));
    }
    return cautions;
  }

  /** A caution if a column is named like a weight and was not used as one. */
  public static List<Caution> weights(Provenance from) {
    List<Caution> cautions = new ArrayList<>();
    String count = from.rows().count();
    if (count != null && SampleDesign.isCalledWeight(count)) {
      cautions.add(SourceCautions.weightAsCount(count));
    }
    if (!from.doubts().unusedWeight().isEmpty()) {
      cautions.add(SourceCautions.weightUnused(from.doubts().unusedWeight()));
    }
    return cautions;
  }

  /** The cautions that all members of a family share. */
  public static List<Caution> common(List<List<Caution>> family) {
    return family.size() == 1
        ? List.of()
        : family.get(0).stream()
            .filter(each -> family.stream().allMatch(member -> member.contains(each)))
            .toList();
  }

  /** A caution if the Bayesian view is abbreviated because there are very many members. */
  public static List<Caution> brief(int members, boolean pairs) {
    return BayesianDetail.of(members) == BayesianDetail.WHOLE
        ? List.of()
        : List.of(
            SourceCautions.brief(
                Figures.counted(members, pairs ? "pair" : "group", pairs ? "pairs" : "groups"),
                pairs));
  }

  /** A caution if groups were left out. */
  public static List<Caution> empty(List<String> groups) {
    return groups.isEmpty() ? List.of() : List.of(SourceCautions.empty(groups));
  }
}
