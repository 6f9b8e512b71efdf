package dev.tavik.survey;

/** The weighted share of successes in a part of the sample, and functions of it and of another. */
final class Share {
  private static final int FAILURE = 1;
  private static final int SUCCESS = 2;

  private final int[] member;

  /**
   * Keeps what each combination is.
   *
   * @param member of each combination: 0 outside the part, 1 a failure, 2 a success
   */
  Share(int[] member) {
    this.member = member;
  }

  int[] member() {
    return member;
  }

  /** The weights of failures and successes. */
  private double[] sums(double[] totals) {
    double[] sums = new double[3];
    for (int c = 0; c < member.length; c++) {
      sums[member[c]] += totals[c];
    }
    return sums;
  }

  double weight(double[] totals) {
    double[] sums = sums(totals);
    return sums[FAILURE] + sums[SUCCESS];
  }

  double value(double[] totals) {
    double[] sums = sums(totals);
    return sums[SUCCESS] / (sums[FAILURE] + sums[SUCCESS]);
  }

  double complement(double[] totals) {
    double[] sums = sums(totals);
    return sums[FAILURE] / (sums[FAILURE] + sums[SUCCESS]);
  }

  private double[] slopes(double ofFailure, double ofSuccess) {
    double[] slopes = new double[member.length];
    for (int c = 0; c < slopes.length; c++) {
      slopes[c] = member[c] == SUCCESS ? ofSuccess : member[c] == FAILURE ? ofFailure : 0;
    }
    return slopes;
  }

  /** A function of one share. */
  private enum Scale {
    PLAIN,
    LOG,
    LOGIT
  }

  private double value(Scale scale, double[] totals) {
    double[] sums = sums(totals);
    double all = sums[FAILURE] + sums[SUCCESS];
    return switch (scale) {
      case PLAIN -> sums[SUCCESS] / all;
      case LOG -> Math.log(sums[SUCCESS] / all);
      case LOGIT -> Math.log(sums[SUCCESS] / sums[FAILURE]);
    };
  }

  private double[] slopes(Scale scale, double[] totals) {
    double[] sums = sums(totals);
    double all = sums[FAILURE] + sums[SUCCESS];
    return switch (scale) {
      case PLAIN -> slopes(-sums[SUCCESS] / all / all, sums[FAILURE] / all / all);
      case LOG -> slopes(-1 / all, sums[FAILURE] / all / sums[SUCCESS]);
      case LOGIT -> slopes(-1 / sums[FAILURE], 1 / sums[SUCCESS]);
    };
  }

  /** The share itself. */
  FunctionOfSums plain() {
    return on(Scale.PLAIN);
  }

  /** Its logarithm. */
  FunctionOfSums log() {
    return on(Scale.LOG);
  }

  /** The logarithm of its odds. */
  FunctionOfSums logit() {
    return on(Scale.LOGIT);
  }

  private FunctionOfSums on(Scale scale) {
    return new FunctionOfSums() {
      @Override
      public double[] values(double[] totals) {
        return new double[] {value(scale, totals)};
      }

      @Override
      public double[][] slopes(double[] totals) {
        return new double[][] {Share.this.slopes(scale, totals)};
      }
    };
  }
}
