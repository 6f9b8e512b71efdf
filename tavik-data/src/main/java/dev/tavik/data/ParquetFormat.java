package dev.tavik.data;

import dev.tavik.data.RowSource.SourceDescription;
import java.io.IOException;

/** A Parquet file, which a column engine reads, where there is one. */
final class ParquetFormat implements SourceFormat {
  @Override
  public boolean takes(FileHeader beginning) {
    return beginning.startsWith("PAR1");
  }

  @Override
  public SourceDescription read(Bytes bytes, ReadOptions said, RowHandler rows) throws IOException {
    said.requireNoSheet(bytes.name());
    ColumnEngine engine =
        ColumnEngine.found()
            .orElseThrow(
                () ->
                    new DataException(
                        DataException.Code.ENCODING,
                        "%s is a Parquet file, which the module tavik-sql reads; convert it to CSV",
                        bytes.name()));
    bytes.asFile(
        file -> {
          engine.parquet(bytes.name(), file, rows);
          return file;
        });
    return SourceDescription.of("Parquet");
  }
}
