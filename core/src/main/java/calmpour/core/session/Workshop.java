package calmpour.core.session;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.cup.CupKind;
import calmpour.core.embed.Embed;
import calmpour.core.mould.Mould;
import calmpour.core.resin.ResinSystem;
import calmpour.core.stock.ResinPart;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Colourant;
import calmpour.core.tool.Booking;
import calmpour.core.tool.Tool;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What is on the shelves, as far as a session needs it: a snapshot, never the live store.
 *
 * @param bookings what other sessions of this workshop need, and when
 */
@RecordBuilder
public record Workshop(
    List<Mould> moulds,
    List<ResinSystem> resins,
    List<Colourant> colourants,
    List<Colour> colours,
    List<CupKind> cups,
    List<ResinPart> parts,
    List<Embed> embeds,
    List<Tool> tools,
    List<Booking> bookings)
    implements WorkshopBuilder.With {
  public static final Workshop EMPTY =
      new Workshop(List.of(), List.of(), List.of(), List.of(), List.of());

  /** A workshop without shared tools, and nothing else going on in it. */
  public Workshop(
      List<Mould> moulds,
      List<ResinSystem> resins,
      List<Colourant> colourants,
      List<Colour> colours,
      List<CupKind> cups,
      List<ResinPart> parts,
      List<Embed> embeds) {
    this(moulds, resins, colourants, colours, cups, parts, embeds, List.of(), List.of());
  }

  /** A workshop without bottles and embeds of its own. */
  public Workshop(
      List<Mould> moulds,
      List<ResinSystem> resins,
      List<Colourant> colourants,
      List<Colour> colours,
      List<CupKind> cups) {
    this(moulds, resins, colourants, colours, cups, List.of(), List.of());
  }

  public Workshop {
    moulds = moulds == null ? List.of() : List.copyOf(moulds);
    resins = resins == null ? List.of() : List.copyOf(resins);
    colourants = colourants == null ? List.of() : List.copyOf(colourants);
    colours = colours == null ? List.of() : List.copyOf(colours);
    cups = cups == null ? List.of() : List.copyOf(cups);
    parts = parts == null ? List.of() : List.copyOf(parts);
    embeds = embeds == null ? List.of() : List.copyOf(embeds);
    tools = tools == null ? List.of() : List.copyOf(tools);
    bookings = bookings == null ? List.of() : List.copyOf(bookings);
    Check check = new Check();
    once(check, "moulds", moulds, Mould::id);
    once(check, "resins", resins, ResinSystem::id);
    once(check, "colourants", colourants, Colourant::id);
    once(check, "colours", colours, Colour::id);
    once(check, "cups", cups, CupKind::id);
    once(check, "parts", parts, ResinPart::id);
    once(check, "embeds", embeds, Embed::id);
    once(check, "tools", tools, Tool::id);
    check.orThrow();
  }

  /** Of two with one id nobody could say which is meant. */
  private static <T> void once(Check check, String shelf, List<T> things, Function<T, String> id) {
    Set<String> seen = new HashSet<>();
    for (int i = 0; i < things.size(); i++) {
      String its = id.apply(things.get(i));
      check.that(
          seen.add(its), Problem.of(shelf + "[" + i + "].id", Problem.Code.DUPLICATE_ID, its));
    }
  }

  /** A resin with the densities of its own bottles, where its label gives none. */
  public ResinSystem asBottled(ResinSystem resin) {
    return resin.withDensities(densityOf(resin.partAId()), densityOf(resin.partBId()));
  }

  /** The lots of A and B that a resin is mixed from on a day; null where nobody noted them. */
  public @Nullable String lotOf(ResinSystem resin, LocalDate day) {
    return ResinPart.lotOf(part(resin.partAId()), part(resin.partBId()), day);
  }

  private @Nullable ResinPart part(@Nullable String partId) {
    return parts.stream().filter(p -> p.id().equals(partId)).findFirst().orElse(null);
  }

  private @Nullable Double densityOf(@Nullable String partId) {
    return parts.stream()
        .filter(p -> p.id().equals(partId))
        .map(ResinPart::density)
        .filter(Objects::nonNull)
        .findFirst()
        .orElse(null);
  }

  /** This workshop with {@code carried} laid over it; where both have an id, the carried one is. */
  public Workshop overlaidWith(Workshop carried) {
    return new Workshop(
        overlay(moulds, carried.moulds, Mould::id),
        overlay(resins, carried.resins, ResinSystem::id),
        overlay(colourants, carried.colourants, Colourant::id),
        overlay(colours, carried.colours, Colour::id),
        overlay(cups, carried.cups, CupKind::id),
        overlay(parts, carried.parts, ResinPart::id),
        overlay(embeds, carried.embeds, Embed::id),
        overlay(tools, carried.tools, Tool::id),
        Stream.concat(bookings.stream(), carried.bookings.stream()).distinct().toList());
  }

  private static <T> List<T> overlay(List<T> below, List<T> above, Function<T, String> id) {
    Map<String, T> byId = new LinkedHashMap<>();
    for (T each : below) {
      byId.put(id.apply(each), each);
    }
    for (T each : above) {
      byId.put(id.apply(each), each);
    }
    return new ArrayList<>(byId.values());
  }
}
