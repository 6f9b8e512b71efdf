package dev.tavik.examples.tasks;

import dev.tavik.answer.Answer;
import dev.tavik.count.SurveyCounts;
import dev.tavik.study.rate.RateQuestion;
import java.util.List;

/** A weighted survey from objects. */
public final class SurveyOfObjects {
  record Person(String dealer, double weight, String reorder) {}

  public static String run() throws Exception {
    SurveyCounts panel =
        List.of(new Person("a", 1.5, "yes"), new Person("b", 0.5, "no"), new Person("c", 1, "no"))
            .stream()
            .collect(
                SurveyCounts.counting(Person.class)
                    .weight(Person::weight)
                    .cluster(Person::dealer)
                    .by("reorder", Person::reorder));
    Answer answer = RateQuestion.of(panel, 0.5, "yes").ask();
    return answer.verdict().text();
  }
}
