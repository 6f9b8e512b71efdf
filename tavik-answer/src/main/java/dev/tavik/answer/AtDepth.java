package dev.tavik.answer;

import java.util.List;

/** Another finding, in readings of one depth only. */
record AtDepth(Finding finding, Depth depth) implements Finding {
  @Override
  public String key() {
    return finding.key();
  }

  @Override
  public Value figures() {
    return finding.figures();
  }

  @Override
  public List<Block> reading() {
    return finding.reading();
  }

  @Override
  public boolean last() {
    return finding.last();
  }
}
