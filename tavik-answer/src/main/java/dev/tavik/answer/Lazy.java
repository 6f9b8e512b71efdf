package dev.tavik.answer;

import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * A value that is computed once, when it is first asked for. It is safe for use by several threads.
 */
final class Lazy<T> implements Supplier<T> {
  private @Nullable Supplier<? extends T> maker;
  private @Nullable T made;

  Lazy(Supplier<? extends T> maker) {
    this.maker = maker;
  }

  @Override
  public synchronized T get() {
    T known = made;
    Supplier<? extends T> how = maker;
    if (known == null && how != null) {
      known = how.get();
      made = known;
      maker = null;
    }
    if (known == null) {
      throw new IllegalStateException("nothing was made");
    }
    return known;
  }
}
