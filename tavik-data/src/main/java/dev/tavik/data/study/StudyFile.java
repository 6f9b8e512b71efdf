package dev.tavik.data.study;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Question;
import dev.tavik.count.Names;
import dev.tavik.data.DataException;
import dev.tavik.data.SourceOpener;
import dev.tavik.data.study.StudyTree.Items;
import dev.tavik.data.study.StudyTree.Keys;
import dev.tavik.data.study.StudyTree.Node;
import dev.tavik.data.study.StudyTree.Nothing;
import dev.tavik.data.study.StudyTree.Text;
import dev.tavik.result.Adjustment;
import dev.tavik.study.Study;
import dev.tavik.study.Unanswered;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A file of questions, YAML or JSON: {@code StudyFile.of("study.yaml").set("WEEK", "18").read()}.
 *
 * <p>The keys of a question are the words of the command line's options. At the top, any of these
 * words holds for every question that knows it and has none of its own; what is about rows, only
 * for those that give no counts. {@code adjust} says how p-values are adjusted over the study or,
 * where questions have one, over their {@code family}; {@code include} asks the questions of
 * another study first. {@code ${NAME}} stands for a value that is set when the study is run.
 *
 * <p>Files lie beside the study that names them, in its folder or below. A question that can't be
 * asked becomes an {@link Unanswered} in its place; the others are asked all the same.
 */
public final class StudyFile {
  private static final Set<String> TOP =
      new LinkedHashSet<>(List.of("study", "adjust", "include", "questions"));
  private static final int DEEPEST = 10;

  private final String name;
  private final SourceOpener opening;
  private final Map<String, String> set;
  private final boolean confined;

  private StudyFile(String name, SourceOpener opening, Map<String, String> set, boolean confined) {
    this.name = name;
    this.opening = opening;
    this.set = set;
    this.confined = confined;
  }

  /**
   * {@return a study in a file}
   *
   * @param name the file's path; {@code .json} is read as JSON, everything else as YAML
   */
  public static StudyFile of(String name) {
    return of(name, SourceOpener.ofFiles());
  }

  /**
   * {@return a study in a file that is opened in another way}
   *
   * @param name the file's name; {@code .json} is read as JSON, everything else as YAML
   * @param opening how the file, and the files it names, are opened
   */
  public static StudyFile of(String name, SourceOpener opening) {
    return new StudyFile(name, opening, Map.of(), true);
  }

  /**
   * With a value for {@code ${NAME}}.
   *
   * @param place the name, letters, digits and underscores
   * @param value what stands for it
   * @return the study file
   * @throws IllegalArgumentException if the name is none
   */
  public StudyFile set(String place, String value) {
    require(
        place.matches("[A-Za-z_][A-Za-z0-9_]*"),
        "a name to set must have letters, digits and underscores only, got '%s'",
        place);
    Map<String, String> more = new LinkedHashMap<>(set);
    more.put(place, value);
    return new StudyFile(name, opening, more, confined);
  }

  /**
   * With files outside the study's folder, databases and drivers allowed.
   *
   * @return the study file
   */
  public StudyFile allowingOutside() {
    return new StudyFile(name, opening, set, false);
  }

  /**
   * Reads the study.
   *
   * @return the study
   * @throws DataException if the file can't be read or isn't a study
   */
  public Study read() {
    StudyValues values = new StudyValues(set);
    List<Question> questions = new ArrayList<>();
    List<String> families = new ArrayList<>();
    Keys root = root(name);
    add(name, root, values, List.of(), questions, families);
    try {
      String title = title(root, values);
      Adjustment adjustment = adjustment(root, values);
      require(
          values.unused().isEmpty(),
          "nothing in the study stands for %s, which is set; its places look like ${NAME}",
          String.join(", ", values.unused()));
      return new Study(title, questions, families, adjustment);
    } catch (SpecException e) {
      throw malformed(name, "is no study: " + e.getMessage());
    }
  }

  private Keys root(String file) {
    if (StudyTree.read(file, opening) instanceof Keys root
        && (root.nodes().containsKey("questions") || root.nodes().containsKey("include"))) {
      return root;
    }
    throw malformed(
        file, "is not a study; a study has the keys study and questions, questions being a list");
  }

  private void add(
      String file,
      Keys root,
      StudyValues values,
      List<String> within,
      List<Question> questions,
      List<String> families) {
    requireTop(file, root);
    for (String other : included(file, root, values)) {
      List<String> path = new ArrayList<>(within);
      path.add(file);
      String there = StudyFolder.beside(file, other).toString();
      if (path.stream().anyMatch(each -> same(each, there)) || path.size() > DEEPEST) {
        throw malformed(file, "includes " + other + ", which includes it in turn");
      }
      requireInside(file, other);
      Keys included = root(there);
      requireSameAdjustment(file, root, there, included, values);
      add(there, included, values, path, questions, families);
    }
    Map<String, Node> defaults = new LinkedHashMap<>(root.nodes());
    defaults.keySet().removeAll(TOP);
    List<Node> own = own(file, root);
    for (int i = 0; i < own.size(); i++) {
      StudyFolder folder = new StudyFolder(opening, file, confined);
      StudyQuestion question = new StudyQuestion(file, i + 1, folder, values, defaults, own.get(i));
      questions.add(question.question());
      families.add(question.family());
    }
  }

  /** The including study sets the adjustment for all questions. */
  private static void requireSameAdjustment(
      String file, Keys root, String there, Keys included, StudyValues values) {
    try {
      Adjustment here = adjustment(root, values);
      if (included.nodes().containsKey("adjust") && adjustment(included, values) != here) {
        throw malformed(
            file,
            "includes "
                + there
                + ", which has 'adjust: "
                + adjustment(included, values).id()
                + "', but the p-values of both are adjusted together, here by "
                + here.id()
                + "; say the same in both");
      }
    } catch (SpecException e) {
      throw malformed(file, "is no study: " + e.getMessage());
    }
  }

  private static boolean same(String one, String other) {
    return Path.of(one).normalize().equals(Path.of(other).normalize());
  }

  private void requireInside(String file, String other) {
    try {
      new StudyFolder(opening, file, confined).path(other);
    } catch (SpecException e) {
      throw malformed(file, "can't include it: " + e.getMessage());
    }
  }

  private static List<String> included(String file, Keys root, StudyValues values) {
    try {
      Node node = root.nodes().getOrDefault("include", new Nothing());
      return node.isNothing() ? List.of() : values.texts("include", node);
    } catch (SpecException e) {
      throw malformed(file, "is no study: " + e.getMessage());
    }
  }

  private static List<Node> own(String file, Keys root) {
    Node node = root.nodes().getOrDefault("questions", new Nothing());
    if (node instanceof Items questions && !questions.nodes().isEmpty()) {
      return questions.nodes();
    }
    if (node.isNothing() && root.nodes().containsKey("include")) {
      return List.of();
    }
    throw malformed(file, "has no questions; 'questions' must be a list with at least one entry");
  }

  private static void requireTop(String file, Keys root) {
    Set<String> known = new LinkedHashSet<>(TOP);
    for (QuestionKind each : QuestionKind.values()) {
      known.addAll(each.words().names());
    }
    known.removeAll(Set.of("label", "working"));
    for (String key : root.nodes().keySet()) {
      if (!known.contains(key)) {
        String meant =
            key.equals("title") ? "; did you mean study?" : Names.meant(key, List.copyOf(known));
        throw malformed(
            file,
            "is no study: there is no key '"
                + key
                + "'"
                + (meant.isEmpty() ? "." : meant)
                + " A study's own keys are "
                + String.join(", ", TOP)
                + "; the options of its questions may stand beside them, for all of them");
      }
    }
  }

  private static String title(Keys root, StudyValues values) {
    Node title = root.nodes().getOrDefault("study", new Nothing());
    if (!(title instanceof Text) && !title.isNothing()) {
      throw new SpecException("'study' must be a title, one text");
    }
    return values.text(title);
  }

  private static Adjustment adjustment(Keys root, StudyValues values) {
    String said = values.text(root.nodes().getOrDefault("adjust", new Text("holm")));
    List<String> known = Arrays.stream(Adjustment.values()).map(Adjustment::id).toList();
    return Arrays.stream(Adjustment.values())
        .filter(each -> each.id().equals(said))
        .findFirst()
        .orElseThrow(
            () ->
                new SpecException(
                    "adjust must be %s, got '%s'%s",
                    known.stream().collect(Collectors.joining(", ")),
                    said,
                    Names.hint(said, known)));
  }

  private static DataException malformed(String file, String found) {
    return new DataException(DataException.Code.MALFORMED, file + " " + found);
  }
}
