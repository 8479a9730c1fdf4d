package calmpour.app.store;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.Table;

/** Rows on their way to their tables: each table is written in one go. */
final class Rows {
  private final Map<Table<?>, List<Record>> rows = new LinkedHashMap<>();

  /** A new row, to be filled in before all are written. */
  <R extends Record> R into(Table<R> table) {
    R row = table.newRecord();
    rows.computeIfAbsent(table, k -> new ArrayList<>()).add(row);
    return row;
  }

  /** Writes the tables in the order in which a row was first added to each. */
  void write(DSLContext dsl) {
    rows.forEach((table, its) ->
        dsl.batch(
                dsl.insertInto(table)
                    .columns(table.fields())
                    .values(new Object[table.fields().length]))
            .bind(its.stream().map(Record::intoArray).toArray(Object[][]::new))
            .execute());
  }
}
