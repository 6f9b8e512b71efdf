import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.InstanceOfTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.SourcePositions;
import com.sun.source.util.TreeScanner;
import com.sun.source.util.Trees;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import javax.lang.model.element.Modifier;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;

/**
 * Measures how large the main code is: {@code java .ci/Size.java} in the project's folder prints a
 * line for each module, or for the modules that are named. Lines of code are lines that are neither
 * blank nor a comment, an import or the package.
 */
class Size {
  private static final int MANY_INSTANCE_OFS = 6;

  private final String module;
  private final List<Integer> files = new ArrayList<>();
  private final List<Integer> methods = new ArrayList<>();
  private final List<String> ladders = new ArrayList<>();
  private int publicTypes;
  private int mostComponents;
  private String widest = "";

  Size(String module) {
    this.module = module;
  }

  public static void main(String[] modules) throws IOException {
    List<String> all = List.of(modules);
    if (all.isEmpty()) {
      try (Stream<Path> here = Files.list(Path.of(""))) {
        all =
            here.filter(each -> Files.isDirectory(each.resolve("src/main/java")))
                .map(Path::toString)
                .sorted()
                .toList();
      }
    }
    for (String module : all) {
      new Size(module).measure();
    }
  }

  private void measure() throws IOException {
    JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
    try (Stream<Path> found = Files.walk(Path.of(module, "src/main/java"));
        StandardJavaFileManager manager = compiler.getStandardFileManager(null, null, null)) {
      List<Path> sources =
          found
              .filter(each -> each.toString().endsWith(".java"))
              .filter(each -> !each.toString().endsWith("-info.java"))
              .sorted()
              .toList();
      JavacTask task =
          (JavacTask)
              compiler.getTask(
                  null, manager, null, null, null, manager.getJavaFileObjectsFromPaths(sources));
      SourcePositions positions = Trees.instance(task).getSourcePositions();
      for (CompilationUnitTree unit : task.parse()) {
        file(unit, positions);
      }
    }
    report();
  }

  private void file(CompilationUnitTree unit, SourcePositions positions) throws IOException {
    String name = Path.of(unit.getSourceFile().toUri()).getFileName().toString();
    String text = withoutComments(unit.getSourceFile().getCharContent(true).toString());
    files.add(code(text));
    int[] instanceOfs = {0};
    new TreeScanner<Void, Void>() {
      @Override
      public Void visitClass(ClassTree type, Void nothing) {
        boolean top = unit.getTypeDecls().contains(type);
        publicTypes += top && type.getModifiers().getFlags().contains(Modifier.PUBLIC) ? 1 : 0;
        int components = type.getKind() == Tree.Kind.RECORD ? components(type) : 0;
        if (components > mostComponents) {
          mostComponents = components;
          widest = name;
        }
        return super.visitClass(type, nothing);
      }

      @Override
      public Void visitMethod(MethodTree method, Void nothing) {
        long start = positions.getStartPosition(unit, method);
        long end = positions.getEndPosition(unit, method);
        if (method.getBody() != null && start >= 0 && end > start) {
          methods.add(code(text.substring((int) start, (int) end)));
        }
        return super.visitMethod(method, nothing);
      }

      @Override
      public Void visitInstanceOf(InstanceOfTree test, Void nothing) {
        instanceOfs[0]++;
        return super.visitInstanceOf(test, nothing);
      }
    }.scan(unit, null);
    if (instanceOfs[0] >= MANY_INSTANCE_OFS) {
      ladders.add(name + " " + instanceOfs[0]);
    }
  }

  /** The parser keeps components as fields that are neither static nor given a value. */
  private static int components(ClassTree type) {
    return (int)
        type.getMembers().stream()
            .filter(
                each ->
                    each instanceof VariableTree field
                        && !field.getModifiers().getFlags().contains(Modifier.STATIC))
            .count();
  }

  private static int code(String text) {
    return (int)
        text.lines()
            .map(String::strip)
            .filter(line -> !line.isEmpty())
            .filter(line -> !line.startsWith("import ") && !line.startsWith("package "))
            .count();
  }

  /** Comments as blanks, so that places in the text stay; what is quoted is no comment. */
  private static String withoutComments(String text) {
    StringBuilder plain = new StringBuilder(text);
    int at = 0;
    while (at < text.length()) {
      int end = at + 1;
      if (text.startsWith("\"\"\"", at)) {
        end = text.indexOf("\"\"\"", at + 3) + 3;
      } else if (text.charAt(at) == '"' || text.charAt(at) == '\'') {
        while (text.charAt(end) != text.charAt(at)) {
          end += text.charAt(end) == '\\' ? 2 : 1;
        }
        end++;
      } else if (text.startsWith("//", at) || text.startsWith("/*", at)) {
        end =
            text.startsWith("//", at)
                ? text.indexOf('\n', at)
                : text.indexOf("*/", at + 2) + 2;
        for (int i = at; i < end; i++) {
          plain.setCharAt(i, text.charAt(i) == '\n' ? '\n' : ' ');
        }
      }
      at = end;
    }
    return plain.toString();
  }

  private static int ninthTenth(List<Integer> sizes) {
    Collections.sort(sizes);
    return sizes.isEmpty() ? 0 : sizes.get(Math.min(sizes.size() - 1, sizes.size() * 9 / 10));
  }

  private void report() {
    System.out.printf(
        Locale.ROOT,
        "%-14s %6d lines of code, %4d files, %4d public types; 90th percentile: file %d, method %d;"
            + " most record components %d%s%n",
        module,
        files.stream().mapToInt(Integer::intValue).sum(),
        files.size(),
        publicTypes,
        ninthTenth(files),
        ninthTenth(methods),
        mostComponents,
        widest.isEmpty() ? "" : " (" + widest + ")");
    if (!ladders.isEmpty()) {
      System.out.println("    six instanceof and more: " + String.join(", ", ladders));
    }
  }
}
