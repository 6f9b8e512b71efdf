package dev.tavik.count;

import static dev.tavik.result.Figures.require;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.BinaryOperator;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collector;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Counts the objects of a stream by what functions say of each: a column for each function, as a
 * file has them. {@link Tabulation#counting} makes one, {@link #by} adds a column, and {@code
 * collect} counts. It is immutable, and may be used for many streams.
 *
 * <p>The level of a value is its text. The levels of an enum are ordered as its constants, others
 * as they first appear, in a parallel stream too. An object is left out for the first column of
 * which its value is null or empty text, and {@link Tabulation#missing} tells how many were.
 *
 * @param <T> the objects
 */
public final class ObjectCounter<T extends @Nullable Object>
    implements Collector<T, ObjectCounter.Counts, Tabulation> {
  private final String source;
  private final Map<String, Function<? super T, ? extends @Nullable Object>> columns;

  ObjectCounter(
      String source, Map<String, Function<? super T, ? extends @Nullable Object>> columns) {
    this.source = source;
    this.columns = Collections.unmodifiableMap(columns);
  }

  /** What was counted of some objects. */
  public static final class Counts {
    private final Map<List<String>, Long> combinations = new LinkedHashMap<>();
    private final Map<String, Long> missing = new LinkedHashMap<>();
    private final Map<Integer, Class<?>> enums = new HashMap<>();
    private long rows;

    private Counts() {}

    private Counts with(Counts later) {
      later.combinations.forEach((levels, count) -> combinations.merge(levels, count, Long::sum));
      later.missing.forEach((column, count) -> missing.merge(column, count, Long::sum));
      later.enums.forEach(enums::putIfAbsent);
      rows += later.rows;
      return this;
    }

    /** The constants of the enum that the values of a column are, in their order; else none. */
    private List<String> ordered(int column) {
      Class<?> type = enums.get(column);
      return type == null
          ? List.of()
          : Stream.of(type.getEnumConstants()).map(Object::toString).distinct().toList();
    }
  }

  /**
   * {@return a counter with one column more}
   *
   * @param name the name of the column
   * @param value what an object has there; null for nothing
   * @throws IllegalArgumentException if there is a column of that name
   * @throws NullPointerException if an argument is null
   */
  public ObjectCounter<T> by(String name, Function<? super T, ? extends @Nullable Object> value) {
    Objects.requireNonNull(value, "value");
    require(!columns.containsKey(name), "columns must have different names, got %s twice", name);
    Map<String, Function<? super T, ? extends @Nullable Object>> more =
        new LinkedHashMap<>(columns);
    more.put(Objects.requireNonNull(name, "name"), value);
    return new ObjectCounter<>(source, more);
  }

  private void add(Counts counts, T object) {
    counts.rows++;
    List<String> levels = new ArrayList<>();
    for (var column : columns.entrySet()) {
      Object value = column.getValue().apply(object);
      String level = value == null ? "" : value.toString();
      if (level.isEmpty()) {
        counts.missing.merge(column.getKey(), 1L, Long::sum);
        return;
      }
      if (value instanceof Enum<?> constant) {
        counts.enums.putIfAbsent(levels.size(), constant.getDeclaringClass());
      }
      levels.add(level);
    }
    counts.combinations.merge(List.copyOf(levels), 1L, Long::sum);
  }

  @Override
  public Supplier<Counts> supplier() {
    require(!columns.isEmpty(), "nothing to count by: name a column with by");
    return Counts::new;
  }

  @Override
  public BiConsumer<Counts, T> accumulator() {
    return this::add;
  }

  @Override
  public BinaryOperator<Counts> combiner() {
    return Counts::with;
  }

  @Override
  public Function<Counts, Tabulation> finisher() {
    List<String> names = List.copyOf(columns.keySet());
    return counts -> {
      List<List<String>> orders = new ArrayList<>();
      for (int column = 0; column < names.size(); column++) {
        orders.add(counts.ordered(column));
      }
      return Tabulation.of(source, names, counts.combinations, counts.rows, 0, counts.missing)
          .ordered(orders);
    };
  }

  @Override
  public Set<Characteristics> characteristics() {
    return Set.of();
  }
}
