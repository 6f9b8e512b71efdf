package dev.tavik.fuzz;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;

/** What holds of every answer, whatever was asked. */
final class Soundness {
  private static final double TIE = 1e-7;

  /** Centred elsewhere than at what was observed, or (noncentral) free of its upward bias. */
  private static final List<String> SHRUNK =
      List.of(
          "agresti-coull",
          "agresti-caffo",
          "gart",
          "jeffreys",
          "bonett-price",
          "wald-cc",
          "noncentral");

  private Soundness() {}

  static void of(List<String> words, JsonNode json) {
    String written = json.toString();
    assertThat(written)
        .as("%s", words)
        .doesNotContain(":\"NaN\"", ":\"Infinity\"", ":\"-Infinity\"");
    if (json.has("answers")) {
      json.get("answers").forEach(answer -> each(answer, node -> sound(words, node, answer)));
    } else {
      each(json, node -> sound(words, node, json));
    }
  }

  private static void each(JsonNode node, Consumer<JsonNode> check) {
    check.accept(node);
    node.forEach(child -> each(child, check));
  }

  private static void sound(List<String> words, JsonNode node, JsonNode whole) {
    if (node.has("pValue") && node.has("log10PValue")) {
      double p = node.get("pValue").asDouble();
      assertThat(p).as(words + ": " + node).isBetween(0.0, 1.0);
      if (p > 1e-300) {
        assertThat(node.get("log10PValue").asDouble())
            .as(words + ": " + node)
            .isCloseTo(Math.log10(p), within(1e-9 * Math.max(1, -Math.log10(p))));
      }
      JsonNode alpha = whole.at("/hypothesis/alpha");
      if (alpha.isNumber() && node.has("rejects")) {
        assertThat(node.get("rejects").asBoolean())
            .as(words + ": " + node)
            .isEqualTo(p <= alpha.asDouble() * (1 + TIE));
      }
    }
    if (node.has("lower") && node.has("upper") && node.has("level")) {
      double lower = number(node.get("lower"), Double.NEGATIVE_INFINITY);
      double upper = number(node.get("upper"), Double.POSITIVE_INFINITY);
      if (!node.path("throughInfinity").asBoolean()) {
        assertThat(lower).as(words + ": " + node).isLessThanOrEqualTo(upper);
      }
    }
    if (node.has("intervals") && node.has("estimates")) {
      node.get("intervals").forEach(interval -> contains(words, interval, node.get("estimates")));
    }
  }

  static double number(JsonNode node, double otherwise) {
    return node.isNumber() ? node.asDouble() : otherwise;
  }

  /** What was observed lies between two-sided limits, unless their method shrinks it. */
  private static void contains(List<String> words, JsonNode interval, JsonNode estimates) {
    String method = interval.get("method").asText();
    boolean twoSided = interval.path("side").asText().equals("two-sided");
    // A number needed whose interval passes through infinity holds what lies outside of its ends.
    if (interval.has("throughInfinity")
        || !twoSided
        || SHRUNK.contains(method)
        || interval.path("level").asDouble() < 0.5) {
      return;
    }
    boolean conditional = method.startsWith("conditional");
    String quantity = (conditional ? "conditional-" : "") + interval.path("quantity").asText();
    List<JsonNode> own = new ArrayList<>();
    estimates.forEach(
        each -> {
          if (each.get("quantity").asText().equals(quantity)) {
            own.add(each);
          }
        });
    if (own.size() == 1 && own.get(0).get("value").isNumber()) {
      double value = own.get(0).get("value").asDouble();
      double slack = slack(value);
      assertThat(number(interval.get("lower"), Double.NEGATIVE_INFINITY))
          .as(words + ": " + interval)
          .isLessThanOrEqualTo(value + slack);
      assertThat(number(interval.get("upper"), Double.POSITIVE_INFINITY))
          .as(words + ": " + interval)
          .isGreaterThanOrEqualTo(value - slack);
    }
  }

  /** What a search for a limit may be off. */
  static double slack(double limit) {
    return Double.isInfinite(limit) ? 0 : 1e-9 * Math.abs(limit) + 1e-15;
  }
}
