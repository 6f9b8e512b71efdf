package dev.tavik.answer;

import dev.tavik.result.Derivation;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;

/** Holds calculations by hand, which are made when they are first read. */
public final class Workings implements Finding {
  private final Supplier<List<Derivation>> calculations;

  private Workings(Supplier<List<Derivation>> calculations) {
    this.calculations = calculations;
  }

  /**
   * Keeps a way to make the calculations.
   *
   * @param calculations makes the calculations, when they are read
   * @return the workings
   */
  public static Workings of(Supplier<List<Derivation>> calculations) {
    return new Workings(new Lazy<>(() -> List.copyOf(calculations.get())));
  }

  /** {@return the calculations} */
  public List<Derivation> all() {
    return calculations.get();
  }

  @Override
  public String key() {
    return "working";
  }

  @Override
  public Depth depth() {
    return Depth.WORKING;
  }

  @Override
  public boolean last() {
    return true;
  }

  @Override
  public Value figures() {
    return Value.list(
        all(),
        working ->
            Value.fields()
                .with("method", working.method().id())
                .with(
                    "steps",
                    Value.list(
                        working.steps(),
                        step ->
                            Value.fields()
                                .with("name", step.name())
                                .with("symbol", step.symbol())
                                .with("formula", step.formula())
                                .with("substituted", step.substituted())
                                .with("value", step.value())
                                .with("reason", step.reason()))));
  }

  @Override
  public List<Block> reading() {
    List<Block> blocks = new ArrayList<>();
    if (all().isEmpty()) {
      blocks.add(Block.heading("Working"));
      blocks.add(
          Block.paragraph(
              "None of these methods has a closed form to be done by hand; z tests and closed-form"
                  + " intervals have."));
    }
    for (Derivation working : all()) {
      blocks.add(Block.heading("Working: " + working.title()));
      blocks.add(
          Block.paragraph(
              working.symbols() + ". Values are shown to ten digits and carried on unrounded."));
      blocks.add(new Block.Steps(working.steps()));
    }
    return blocks;
  }
}
