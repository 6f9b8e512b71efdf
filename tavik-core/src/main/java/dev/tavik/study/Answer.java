package dev.tavik.study;

/** What came of a question: an answer of its kind, or the reason why there is none. */
public sealed interface Answer
    permits RateAnswer,
        RateByGroupAnswer,
        CompareAnswer,
        CompareGroupsAnswer,
        PairedAnswer,
        MatchedAnswer,
        SharesAnswer,
        CrossAnswer,
        StrataAnswer,
        AgreementAnswer,
        OutlookAnswer,
        PlanAnswer,
        PrecisionAnswer,
        SimulatedAnswer,
        TailAnswer,
        WeighAnswer,
        Unanswered {
  /**
   * The kind of question.
   *
   * @return such as {@code rate}
   */
  String question();

  /**
   * The analyst's name for it.
   *
   * @return the label, empty if none was given
   */
  String label();

  /**
   * The verdict in words.
   *
   * @return a sentence or two
   */
  String conclusion();
}
