package dev.tavik.planning;

/** Power by the normal distribution of one group's size. */
record SmoothPower(PowerDesign design, double first) implements Power {
  @Override
  public double at(double effect) {
    return design.smooth(first, effect);
  }

  @Override
  public double size() {
    return design.alpha();
  }
}
