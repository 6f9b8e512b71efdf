package dev.tavik.report;

import dev.tavik.count.DataOverview;
import dev.tavik.result.Caution;
import dev.tavik.result.Condition;
import dev.tavik.result.Working;
import dev.tavik.study.AgreementAnswer;
import dev.tavik.study.Answer;
import dev.tavik.study.CompareAnswer;
import dev.tavik.study.CompareGroupsAnswer;
import dev.tavik.study.CountedFrom;
import dev.tavik.study.CrossAnswer;
import dev.tavik.study.MatchedAnswer;
import dev.tavik.study.OutlookAnswer;
import dev.tavik.study.PairedAnswer;
import dev.tavik.study.PlanAnswer;
import dev.tavik.study.PrecisionAnswer;
import dev.tavik.study.Preference;
import dev.tavik.study.RateAnswer;
import dev.tavik.study.RateByGroupAnswer;
import dev.tavik.study.SharesAnswer;
import dev.tavik.study.SimulatedAnswer;
import dev.tavik.study.StrataAnswer;
import dev.tavik.study.StudyAnswer;
import dev.tavik.study.TailAnswer;
import dev.tavik.study.Unanswered;
import dev.tavik.study.WeighAnswer;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Writes answers for a reader: the verdict first, then counts, tests, intervals, conditions and
 * cautions, in lines of at most eighty characters.
 *
 * @param emphasis how headings stand out
 * @param detail how much is written
 */
public record TextReport(Emphasis emphasis, Detail detail) {
  /** How verdicts begin that name nothing of the data first. */
  private static final Pattern OWN_WORDS =
      Pattern.compile("(?:the|rows and columns|columns fall|all|no) ");

  /**
   * An answer.
   *
   * @param answer the answer
   * @return its text, ending with a line end
   */
  public String of(Answer answer) {
    if (answer.label().isEmpty() || answer.conclusion().startsWith(answer.label())) {
      return unlabelled(answer);
    }
    Lines lines = new Lines(emphasis);
    lines.strong(answer.label());
    return lines + "\n" + unlabelled(answer);
  }

  private String unlabelled(Answer answer) {
    Lines lines = new Lines(emphasis);
    if (answer instanceof RateAnswer rate) {
      new RateText(lines, detail).write(rate);
    } else if (answer instanceof RateByGroupAnswer rates) {
      new RateByGroupText(lines, detail).write(rates);
    } else if (answer instanceof CompareAnswer comparison) {
      new CompareText(lines, detail).write(comparison);
    } else if (answer instanceof CompareGroupsAnswer comparisons) {
      new CompareGroupsText(lines, detail).write(comparisons);
    } else if (answer instanceof PairedAnswer paired) {
      new PairedText(lines, detail).write(paired);
    } else if (answer instanceof SharesAnswer shares) {
      new SharesText(lines).write(shares);
    } else if (answer instanceof CrossAnswer cross) {
      new CrossText(lines).write(cross);
    } else if (answer instanceof StrataAnswer strata) {
      new StrataText(lines).write(strata);
    } else if (answer instanceof AgreementAnswer agreement) {
      new AgreementText(lines).write(agreement);
    } else if (answer instanceof MatchedAnswer matched) {
      new MatchedText(lines).write(matched);
    } else if (answer instanceof WeighAnswer weighed) {
      new WeighText(lines).write(weighed);
    } else if (answer instanceof TailAnswer tail) {
      new TailText(lines).write(tail);
    } else if (answer instanceof SimulatedAnswer simulated) {
      return of(simulated.answer()) + SimulationText.of(simulated, emphasis);
    } else if (answer instanceof PlanAnswer plan) {
      new PlanText(lines).write(plan);
    } else if (answer instanceof PrecisionAnswer precision) {
      new PrecisionText(lines).write(precision);
    } else if (answer instanceof OutlookAnswer outlook) {
      new OutlookText(lines).write(outlook);
    } else if (answer instanceof Unanswered unanswered) {
      lines.paragraph("", "", unanswered.conclusion());
    }
    return lines.toString();
  }

  /**
   * The answers to a study, one after another.
   *
   * @param study the answers
   * @return their text, ending with a line end
   */
  public String of(StudyAnswer study) {
    Lines lines = new Lines(emphasis);
    if (!study.title().isEmpty()) {
      lines.strong(study.title());
    }
    StringBuilder text = new StringBuilder(lines.toString());
    int number = 1;
    for (Answer answer : study.answers()) {
      Lines head = new Lines(emphasis);
      String label = answer.label().isEmpty() ? answer.question() : answer.label();
      head.strong(number + ". " + label);
      text.append(text.isEmpty() ? "" : "\n").append(head).append('\n').append(unlabelled(answer));
      number++;
    }
    if (!study.cautions().isEmpty()) {
      Lines end = new Lines(emphasis);
      cautions(end, study.cautions());
      text.append('\n').append(end);
    }
    return text.toString();
  }

  /**
   * What a source of data holds.
   *
   * @param overview the overview
   * @param suggestions commands that would make sense for it
   * @return its text, ending with a line end
   */
  public String of(DataOverview overview, List<String> suggestions) {
    Lines lines = new Lines(emphasis);
    new OverviewText(lines).write(overview, suggestions);
    return lines.toString();
  }

  /** What every answer about one question ends with; working is null where it isn't wanted. */
  static void ending(
      Lines lines,
      Preference preference,
      List<Condition> conditions,
      List<Caution> cautions,
      @Nullable List<Working> working) {
    lines.blank();
    lines.paragraph(
        "",
        "",
        String.format(
            Locale.ROOT,
            "The verdict rests on %s and %s: %s.",
            preference.test().id(),
            preference.interval().id(),
            preference.reason()));
    lines.heading("Taken for granted");
    conditions.forEach(condition -> RateText.condition(lines, condition));
    cautions(lines, cautions);
    if (working != null) {
      new WorkingText(lines).write(working);
    }
  }

  /** Where the counts came from, under what was observed; nothing where they were given. */
  static void source(Lines lines, @Nullable CountedFrom from) {
    if (from != null) {
      lines.paragraph("  ", "  ", from.inWords() + ".");
    }
  }

  /** The verdict as a sentence of its own; a label or a column's name stays as it was written. */
  static void verdict(Lines lines, String verdict) {
    lines.strong(
        OWN_WORDS.matcher(verdict).lookingAt()
            ? Character.toUpperCase(verdict.charAt(0)) + verdict.substring(1)
            : verdict);
  }

  static void cautions(Lines lines, List<Caution> cautions) {
    if (!cautions.isEmpty()) {
      lines.heading("Be careful");
      cautions.forEach(caution -> lines.paragraph("  ! ", "    ", caution.message()));
    }
  }
}
