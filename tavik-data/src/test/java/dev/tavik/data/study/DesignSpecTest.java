package dev.tavik.data.study;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import dev.tavik.count.Replication;
import dev.tavik.count.SampleDesign;
import dev.tavik.count.SampleDesign.Lone;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is written of a design becomes one, from options and from studies. */
class DesignSpecTest {
  private static SampleDesign design(String... written) {
    QuestionArguments spec =
        new QuestionArguments(Map.of("design", List.of(written)), QuestionArguments.Wording.OPTION);
    return DesignSpec.of(spec, column -> column.equals("Region") ? "region" : column);
  }

  @Test
  void partsAreReadTogetherAndByThemselves() {
    SampleDesign expected =
        SampleDesign.weighted("w").strata("region").clusters("dealer", "customer").nest();
    assertThat(design("weight=w,strata=Region,cluster=dealer/customer,nest")).isEqualTo(expected);
    assertThat(design("weight=w", "strata=Region", "cluster=dealer/customer", "nest=true"))
        .isEqualTo(expected);
    assertThat(design(" weight = w , strata = Region ", "cluster=dealer / customer,nest"))
        .isEqualTo(expected);
    assertThat(design("weight=\"w, final\"").weight()).isEqualTo("w, final");
    assertThat(design("cluster=dealer,nest=false").nested()).isFalse();
    assertThat(design("strata=Region,lone=centre").lone()).isEqualTo(Lone.CENTRE);
    assertThat(design("cluster=dealer,population=1100").populationSize()).isEqualTo(1100);
    assertThat(design("cluster=dealer,population=Region").population()).isEqualTo("region");
    assertThat(design("cluster=dealer,population=Region").populationSize()).isNull();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "method=jackknife | JACKKNIFE | 0",
        "method=delete-group-jackknife | DELETE_GROUP | 0",
        "method=balanced | BALANCED | 0",
        "method=balanced-fay=0.3 | BALANCED | 0.3",
        "method=bootstrap | BOOTSTRAP | 0"
      })
  void replicatesAreReadWithTheirMethod(String method, Replication.Kind kind, double fay) {
    Replication expected = new Replication(List.of("rw_*", "more"), kind, fay, List.of(), null);
    assertThat(design("weight=w,replicates=rw_*/more," + method).replication()).isEqualTo(expected);
    assertThat(design("weight=w,replicates=rw_*/more,scale=0.5/0.25,df=12," + method).replication())
        .isEqualTo(new Replication(List.of("rw_*", "more"), kind, fay, List.of(0.5, 0.25), 12.0));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "weigth=w | --design has no part 'weigth'; did you mean weight",
        "w | --design has no part 'w'",
        "weight= | must be written weight=COLUMN",
        "weight=w,weight=v | has weight twice",
        "weight=w,nest | nest needs cluster",
        "weight=w,cluster=a/a | must name different columns",
        "weight=w,cluster=a/ | must name different columns",
        "weight=w,lone=alone | must be fail, centre or certain, got 'alone'",
        "weight=w,method=jackknife | method needs replicates",
        "weight=w,df=3 | df needs replicates",
        "weight=w,replicates=r* | replicates need method",
        "weight=w,replicates=r*,method=brr | has no method 'brr'",
        "weight=w,replicates=r*,method=balanced-fay=x | balanced-fay must be a number",
        "weight=w,replicates=r*,method=balanced,scale=a | scale must be a number",
        "weight=w,replicates=r*,method=balanced,df=-1 | df must be a number"
      })
  void whatIsNoDesignIsRefused(String written, String message) {
    assertThatExceptionOfType(SpecException.class)
        .isThrownBy(() -> design(written))
        .withMessageContaining(message);
  }
}
