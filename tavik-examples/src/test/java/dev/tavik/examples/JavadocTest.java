package dev.tavik.examples;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.source.doctree.DocCommentTree;
import com.sun.source.doctree.DocTree;
import com.sun.source.doctree.ParamTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ModifiersTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeParameterTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.DocTrees;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TreePathScanner;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.lang.model.element.Modifier;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Everything that a user of the library can call is documented: what it is, each of its parameters
 * and what it returns. What a record says of its parts needn't be said again where they are
 * checked.
 */
class JavadocTest {
  private static final Pattern EXPORT = Pattern.compile("^  exports ([\\w.]+);", Pattern.MULTILINE);

  static Stream<Path> modules() throws IOException {
    try (Stream<Path> folders = Files.list(Path.of(".."))) {
      return folders
          .map(folder -> folder.resolve("src/main/java"))
          .filter(each -> Files.exists(each.resolve("module-info.java")))
          .filter(each -> !each.toString().matches(".*tavik-(cli|examples|bench|fuzz|dist)/.*"))
          .sorted()
          .toList()
          .stream();
    }
  }

  @ParameterizedTest
  @MethodSource("modules")
  void whatCanBeCalledIsDocumented(Path module) throws IOException {
    List<Path> sources = new ArrayList<>();
    String info = Files.readString(module.resolve("module-info.java"));
    for (String exported : EXPORT.matcher(info).results().map(each -> each.group(1)).toList()) {
      try (Stream<Path> files = Files.list(module.resolve(exported.replace('.', '/')))) {
        files.filter(each -> each.toString().endsWith(".java")).forEach(sources::add);
      }
    }
    assertThat(missing(sources)).isEmpty();
  }

  private static List<String> missing(List<Path> sources) throws IOException {
    JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
    try (StandardJavaFileManager files = compiler.getStandardFileManager(null, null, null)) {
      JavacTask task =
          (JavacTask)
              compiler.getTask(
                  null,
                  files,
                  null,
                  List.of("-proc:none"),
                  null,
                  files.getJavaFileObjectsFromPaths(sources));
      List<String> missing = new ArrayList<>();
      DocTrees docs = DocTrees.instance(task);
      for (CompilationUnitTree unit : task.parse()) {
        new Scanner(docs, missing).scan(unit, null);
      }
      return missing;
    }
  }

  /** Goes through the members that can be called. */
  private static final class Scanner extends TreePathScanner<Void, Void> {
    private final DocTrees docs;
    private final List<String> missing;

    Scanner(DocTrees docs, List<String> missing) {
      this.docs = docs;
      this.missing = missing;
    }

    private ClassTree owner() {
      return (ClassTree) getCurrentPath().getParentPath().getLeaf();
    }

    /** Whether a member is seen from outside; those of an interface are. */
    private boolean isSeen(ModifiersTree modifiers) {
      return modifiers.getFlags().contains(Modifier.PUBLIC)
          || modifiers.getFlags().contains(Modifier.PROTECTED)
          || (getCurrentPath().getParentPath().getLeaf().getKind() == Tree.Kind.INTERFACE
              && !modifiers.getFlags().contains(Modifier.PRIVATE));
    }

    @Override
    public Void visitClass(ClassTree type, Void none) {
      if (!isSeen(type.getModifiers())) {
        return null;
      }
      List<String> parts = new ArrayList<>(typeParameters(type.getTypeParameters()));
      if (type.getKind() == Tree.Kind.RECORD) {
        type.getMembers().stream()
            .filter(VariableTree.class::isInstance)
            .map(VariableTree.class::cast)
            .filter(each -> !each.getModifiers().getFlags().contains(Modifier.STATIC))
            .forEach(each -> parts.add(each.getName().toString()));
      }
      require(type.getSimpleName().toString(), parts, false);
      return super.visitClass(type, null);
    }

    @Override
    public Void visitMethod(MethodTree method, Void none) {
      boolean constructor = method.getName().contentEquals("<init>");
      boolean overrides =
          method.getModifiers().getAnnotations().stream()
              .anyMatch(each -> each.getAnnotationType().toString().equals("Override"));
      // A record's own constructor has the parts of the record.
      boolean compact = constructor && isCompact(method);
      if (isSeen(method.getModifiers()) && !overrides && !compact) {
        List<String> parts = new ArrayList<>(typeParameters(method.getTypeParameters()));
        method.getParameters().forEach(each -> parts.add(each.getName().toString()));
        Tree returned = method.getReturnType();
        boolean returns = !constructor && returned != null && !returned.toString().equals("void");
        require(owner().getSimpleName() + "." + method.getName(), parts, returns);
      }
      return null;
    }

    /** Whether a record's own constructor names no parameters. */
    private boolean isCompact(MethodTree constructor) {
      CompilationUnitTree unit = getCurrentPath().getCompilationUnit();
      long start = docs.getSourcePositions().getStartPosition(unit, constructor);
      long body = docs.getSourcePositions().getStartPosition(unit, constructor.getBody());
      try {
        CharSequence text = unit.getSourceFile().getCharContent(true);
        String head = text.subSequence((int) start, (int) body).toString().strip();
        return head.endsWith(owner().getSimpleName().toString());
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }

    @Override
    public Void visitVariable(VariableTree field, Void none) {
      boolean constant =
          owner().getKind() == Tree.Kind.ENUM
              && field.getModifiers().getFlags().contains(Modifier.PUBLIC);
      if (constant || isSeen(field.getModifiers())) {
        require(owner().getSimpleName() + "." + field.getName(), List.of(), false);
      }
      return null;
    }

    private static List<String> typeParameters(List<? extends TypeParameterTree> all) {
      return all.stream().map(each -> each.getName().toString()).toList();
    }

    private void require(String what, List<String> parts, boolean returns) {
      DocCommentTree comment = docs.getDocCommentTree(getCurrentPath());
      if (comment == null) {
        missing.add(what + " has no comment");
        return;
      }
      Set<String> told = new HashSet<>();
      boolean tellsReturn =
          comment.getFirstSentence().stream()
              .anyMatch(each -> each.getKind() == DocTree.Kind.RETURN);
      for (DocTree tag : comment.getBlockTags()) {
        tellsReturn |= tag.getKind() == DocTree.Kind.RETURN;
        if (tag instanceof ParamTree parameter) {
          told.add(parameter.getName().getName().toString());
        }
      }
      parts.stream()
          .filter(each -> !told.contains(each))
          .forEach(each -> missing.add(what + " doesn't tell of " + each));
      if (returns && !tellsReturn) {
        missing.add(what + " doesn't tell what it returns");
      }
    }
  }
}
