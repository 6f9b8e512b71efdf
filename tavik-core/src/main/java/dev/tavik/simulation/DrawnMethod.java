package dev.tavik.simulation;

import dev.tavik.association.SharesTest;
import dev.tavik.association.TableTest;
import dev.tavik.result.Exactness;
import dev.tavik.result.Method;
import dev.tavik.result.MethodInfo;

/** Tests that draw the null where summing over it would take too long. */
public enum DrawnMethod implements Method {
  /** Tables with the same margins, no more probable than the observed one. */
  FISHER(TableTest.FISHER, "tables with the same margins drawn, those no more probable counted"),
  /** Outcomes with the claimed shares, X² as large as the observed one. */
  PEARSON(
      SharesTest.PEARSON, "outcomes with the claimed shares drawn, those with X² as large counted");

  private final Method rule;
  private final MethodInfo info;

  DrawnMethod(Method rule, String description) {
    this.rule = rule;
    this.info =
        MethodInfo.of(
            rule.id() + "-drawn",
            description,
            "Davison and Hinkley 1997, Bootstrap Methods and their Application, chapter 4",
            Exactness.APPROXIMATE);
  }

  /** {@return the test whose rule says what is as extreme} */
  public Method rule() {
    return rule;
  }

  @Override
  public MethodInfo info() {
    return info;
  }
}
