package dev.tavik.examples;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.Predicate;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;

/**
 * The trade customers of Harrowmere Tileworks, all of them, so that it is known what a sample of
 * them should find. Customers of one dealer are alike; those of large dealers are less content, as
 * are those in the uplands, of which more were drawn than their share.
 */
public final class TradePopulation {
  private static final long SEED = 20260601L;
  private static final String[] CHANNELS = {"trade counter", "showroom", "online"};
  private static final String[] RATINGS = {"very poor", "poor", "fair", "good", "very good"};

  /** A region, how many dealers it has, how many of them a sample has. */
  private enum Region {
    COAST(340, 13),
    VALLEY(360, 13),
    MOORS(240, 11),
    UPLANDS(160, 11);

    private final int dealers;
    private final int drawn;

    Region(int dealers, int drawn) {
      this.dealers = dealers;
      this.drawn = drawn;
    }

    String title() {
      return name().charAt(0) + name().substring(1).toLowerCase(Locale.ROOT);
    }
  }

  private static final int CUSTOMERS_DRAWN = 20;
  private static final double ANSWERED = 0.94;

  /** A customer of a dealer. */
  record Customer(String channel, boolean reorders, String delivery) {}

  private record Dealer(Region region, String name, List<Customer> customers) {}

  private final List<Dealer> dealers = new ArrayList<>();

  private TradePopulation() {}

  /** Makes all customers, always the same. */
  public static TradePopulation all() {
    UniformRandomProvider random = RandomSource.XO_SHI_RO_256_PP.create(SEED);
    TradePopulation population = new TradePopulation();
    for (Region region : Region.values()) {
      for (int i = 1; i <= region.dealers; i++) {
        String name = String.format(Locale.ROOT, "%c%03d", region.name().charAt(0), i);
        population.dealers.add(new Dealer(region, name, customers(region, random)));
      }
    }
    return population;
  }

  private static List<Customer> customers(Region region, UniformRandomProvider random) {
    int size = (int) Math.round(25 + 45 * -Math.log(1 - random.nextDouble()));
    double goodwill = 0.55 * normal(random) - 0.006 * (size - 70) - uplands(region) * 0.55;
    double delivery = 0.45 * normal(random) + 0.5 * goodwill;
    double online = 0.2 + 0.3 * random.nextDouble();
    List<Customer> customers = new ArrayList<>();
    for (int i = 0; i < size; i++) {
      double way = random.nextDouble();
      String channel = CHANNELS[way < online ? 2 : way < online + 0.2 ? 1 : 0];
      double mood = delivery + normal(random);
      int rating = mood < -1.7 ? 0 : mood < -1.05 ? 1 : mood < -0.3 ? 2 : mood < 0.75 ? 3 : 4;
      double odds =
          Math.exp(1.05 + goodwill + 0.35 * (rating - 3) - (channel.equals("online") ? 0.3 : 0));
      boolean reorders = random.nextDouble() < odds / (1 + odds);
      customers.add(new Customer(channel, reorders, RATINGS[rating]));
    }
    return customers;
  }

  /** Nearly a standard normal deviate, the same with every version of every library. */
  private static double normal(UniformRandomProvider random) {
    double sum = -6;
    for (int i = 0; i < 12; i++) {
      sum += random.nextDouble();
    }
    return sum;
  }

  private static void shuffle(List<?> all, UniformRandomProvider random) {
    for (int i = all.size() - 1; i > 0; i--) {
      Collections.swap(all, i, (int) (random.nextDouble() * (i + 1)));
    }
  }

  private static int uplands(Region region) {
    return region == Region.UPLANDS ? 1 : 0;
  }

  /** Returns the share of all customers who would order again. */
  public double reorders() {
    return share(region -> true);
  }

  /**
   * Returns that share in a region.
   *
   * @param title such as {@code Uplands}
   */
  public double reorders(String title) {
    return share(region -> region.equals(title));
  }

  private double share(Predicate<String> wanted) {
    long all = 0;
    long reorders = 0;
    for (Dealer dealer : dealers) {
      if (wanted.test(dealer.region().title())) {
        all += dealer.customers().size();
        reorders += dealer.customers().stream().filter(Customer::reorders).count();
      }
    }
    return (double) reorders / all;
  }

  /**
   * Draws a sample: of each region some dealers, of each dealer twenty customers, of whom nearly
   * all answer. A customer's weight is how many customers he stands for.
   *
   * @param random where the draws come from
   * @return delimited text with a header line
   */
  public String sample(UniformRandomProvider random) {
    StringBuilder text = new StringBuilder("region,dealer,channel,would_reorder,delivery,weight\n");
    for (Region region : Region.values()) {
      List<Dealer> there =
          new ArrayList<>(dealers.stream().filter(each -> each.region() == region).toList());
      shuffle(there, random);
      List<Dealer> drawn = there.subList(0, region.drawn);
      drawn.sort(Comparator.comparing(Dealer::name));
      for (Dealer dealer : drawn) {
        add(dealer, random, text);
      }
    }
    return text.toString();
  }

  private static void add(Dealer dealer, UniformRandomProvider random, StringBuilder text) {
    List<Customer> customers = new ArrayList<>(dealer.customers());
    shuffle(customers, random);
    List<Customer> answering = new ArrayList<>();
    for (Customer each : customers.subList(0, Math.min(CUSTOMERS_DRAWN, customers.size()))) {
      if (random.nextDouble() < ANSWERED) {
        answering.add(each);
      }
    }
    double weight =
        (double) dealer.region().dealers
            / dealer.region().drawn
            * customers.size()
            / Math.max(1, answering.size());
    for (Customer each : Collections.unmodifiableList(answering)) {
      text.append(dealer.region().title()).append(',').append(dealer.name()).append(',');
      text.append(each.channel()).append(',');
      text.append(random.nextDouble() < 0.015 ? "" : each.reorders() ? "yes" : "no").append(',');
      text.append(random.nextDouble() < 0.01 ? "" : each.delivery()).append(',');
      text.append(String.format(Locale.ROOT, "%.2f\n", weight));
    }
  }
}
