package calmpour.app.store;

import static calmpour.app.store.generated.Tables.SNAPSHOT;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/**
 * Documents that many evenings began with, each different one kept once and packed (gzip, RFC
 * 1952), found by what it says (SHA-256, FIPS 180-4).
 */
@Repository
public class Snapshots {
  private final DSLContext db;

  Snapshots(DSLContext db) {
    this.db = db;
  }

  /** Keeps a document, unless the same one is kept already; by what it is found. */
  String keep(String document) {
    byte[] bytes = document.getBytes(StandardCharsets.UTF_8);
    String hash = hash(bytes);
    if (!db.fetchExists(SNAPSHOT, SNAPSHOT.HASH.eq(hash))) {
      db.insertInto(SNAPSHOT)
          .set(SNAPSHOT.HASH, hash)
          .set(SNAPSHOT.PACKED, packed(bytes))
          .onConflictDoNothing()
          .execute();
    }
    return hash;
  }

  /**
   * What was kept, where a row has not kept it itself.
   *
   * @param own the row's own document, as it was kept before; null where it has none
   * @param hash of one that is kept here
   * @throws UnreadableDocumentException where it is missing or damaged
   */
  String read(Formats.Document kind, @Nullable String own, @Nullable String hash) {
    if (own != null) {
      return own;
    }
    byte[] packed =
        hash == null
            ? null
            : db.select(SNAPSHOT.PACKED)
                .from(SNAPSHOT)
                .where(SNAPSHOT.HASH.eq(hash))
                .fetchOne(SNAPSHOT.PACKED);
    if (packed == null) {
      throw new UnreadableDocumentException(
          kind, new IllegalStateException(kind + " " + hash + " is not kept"));
    }
    try {
      return unpacked(packed);
    } catch (UncheckedIOException damaged) {
      throw new UnreadableDocumentException(kind, damaged);
    }
  }

  /** Whether any of them holds this. */
  boolean anyHolds(String text) {
    for (String hash : db.select(SNAPSHOT.HASH).from(SNAPSHOT).fetch(SNAPSHOT.HASH)) {
      if (read(Formats.Document.WORKSHOP, null, hash).contains(text)) {
        return true;
      }
    }
    return false;
  }

  private static byte[] packed(byte[] bytes) {
    ByteArrayOutputStream into = new ByteArrayOutputStream(bytes.length / 8);
    try (GZIPOutputStream packs = new GZIPOutputStream(into)) {
      packs.write(bytes);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return into.toByteArray();
  }

  private static String unpacked(byte[] packed) {
    try (GZIPInputStream from = new GZIPInputStream(new ByteArrayInputStream(packed))) {
      return new String(from.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String hash(byte[] bytes) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
    } catch (NoSuchAlgorithmException everyJavaHasIt) {
      throw new IllegalStateException(everyJavaHasIt);
    }
  }
}
