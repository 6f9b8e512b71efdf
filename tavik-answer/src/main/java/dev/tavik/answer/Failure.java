package dev.tavik.answer;

import java.util.List;

/**
 * Says why a question has no answer.
 *
 * @param code the word for machines
 * @param message what was found, where, and what would be accepted
 */
public record Failure(String code, String message) implements Finding {
  @Override
  public String key() {
    return "error";
  }

  @Override
  public Value figures() {
    return Value.fields().with("code", code).with("message", message);
  }

  @Override
  public List<Block> reading() {
    return List.of(Block.paragraph("Not answered: " + message, Block.Style.PLAIN));
  }
}
