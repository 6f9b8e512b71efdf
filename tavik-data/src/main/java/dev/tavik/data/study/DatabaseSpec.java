package dev.tavik.data.study;

import dev.tavik.data.CountSource;
import dev.tavik.data.Database;
import dev.tavik.data.ReadOptions;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Opens the rows of a database from their words. */
record DatabaseSpec(QuestionArguments spec) {
  /** The parameters of a database besides its URL. */
  static final String[] WORDS = {
    "query", "relation", "order-by", "show-sql", "db-timeout", "db-credentials", "driver-path"
  };

  CountSource source() {
    List<String> ofFiles = new ArrayList<>(ReadOptions.words());
    ofFiles.addAll(List.of("engine", "engine-above"));
    for (String word : ofFiles) {
      spec.check(
          !spec.has(word), "%s is about a file and doesn't go with {database}", spec.name(word));
    }
    spec.check(
        spec.has("relation") != spec.has("query"),
        "{database} needs {relation} or {query}, one of them");
    Database.Builder database = Database.at(spec.required("database", "a JDBC URL"));
    @Nullable String relation = spec.text("relation");
    database = relation == null ? database : database.relation(relation);
    @Nullable String query = spec.text("query");
    database = query == null ? database : database.query(query);
    @Nullable String order = spec.text("order-by");
    spec.check(
        order == null || spec.flag("sequence"),
        "{order-by} says in which order {sequence} follows the rows; leave it out");
    database = order == null ? database : database.orderBy(order);
    @Nullable String seconds = spec.text("db-timeout");
    spec.check(
        seconds == null || seconds.matches("[1-9]\\d{0,5}"),
        "{db-timeout} must be a whole number of seconds from 1, got '%s'",
        seconds);
    database = seconds == null ? database : database.timeout(Integer.parseInt(seconds));
    @Nullable String credentials = spec.text("db-credentials");
    database = credentials == null ? database : database.credentials(Path.of(credentials));
    @Nullable String drivers = spec.text("driver-path");
    database = drivers == null ? database : database.drivers(Path.of(drivers));
    return (spec.flag("show-sql") ? database.showSql() : database).open();
  }
}
