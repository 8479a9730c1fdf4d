package calmpour.core.session;

import calmpour.core.check.Problem;
import calmpour.core.cup.CupKind;
import calmpour.core.embed.Embed;
import calmpour.core.mould.Mould;
import calmpour.core.resin.ResinSystem;
import calmpour.core.stock.ResinPart;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Colourant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** What a session finds in its workshop by id, and what it looked for in vain. */
final class Found {
  final Session session;
  final Map<String, Mould> moulds;
  final Map<String, Colourant> colourants;
  final Map<String, Colour> colours;
  final Map<String, CupKind> cups;
  final Map<String, ResinPart> parts;
  final Map<String, Embed> embeds;
  final List<Problem> problems = new ArrayList<>();
  private final Map<String, ResinSystem> resins;
  private final Map<String, ResinSystem> bottled = new LinkedHashMap<>();

  Found(Session session, Workshop workshop) {
    this.session = session;
    this.moulds = byId(workshop.moulds(), Mould::id);
    this.resins = byId(workshop.resins(), ResinSystem::id);
    this.colourants = byId(workshop.colourants(), Colourant::id);
    this.colours = byId(workshop.colours(), Colour::id);
    this.cups = byId(workshop.cups(), CupKind::id);
    this.parts = byId(workshop.parts(), ResinPart::id);
    this.embeds = byId(workshop.embeds(), Embed::id);
    colours.putIfAbsent(Colour.CLEAR.id(), Colour.CLEAR);
  }

  void problem(Problem problem) {
    problems.add(problem);
  }

  /** The resins that were asked for, each once, with what their bottles say. */
  Collection<ResinSystem> bottled() {
    return bottled.values();
  }

  /** The resin of a layer or coat; null after noting that there is none of that id. */
  @Nullable ResinSystem resinOf(@Nullable String id, String at) {
    return id == null ? resin(session.resinId(), "resinId") : resin(id, at);
  }

  /** A resin with its bottles; null after noting that there is none of that id. */
  @Nullable ResinSystem resin(String id, String at) {
    if (!bottled.containsKey(id)) {
      ResinSystem found = withBottles(find(resins, id, at));
      if (found == null) {
        return null;
      }
      bottled.put(id, found);
    }
    return bottled.get(id);
  }

  /** What its own bottles say stands in where the system's label says nothing. */
  private @Nullable ResinSystem withBottles(@Nullable ResinSystem resin) {
    if (resin == null) {
      return null;
    }
    ResinPart a = bottle(resin.partAId(), "partAId");
    ResinPart b = bottle(resin.partBId(), "partBId");
    return resin
        .withDensities(a == null ? null : a.density(), b == null ? null : b.density())
        .ofLot(ResinPart.lotOf(a, b, session.startsAt().toLocalDate()));
  }

  private @Nullable ResinPart bottle(@Nullable String id, String field) {
    return id == null ? null : find(parts, id, "resinId." + field);
  }

  /** What has this id; null after noting that nothing has. */
  <T> @Nullable T find(Map<String, T> all, String id, String at) {
    T found = all.get(id);
    if (found == null) {
      problems.add(Problem.of(at, Problem.Code.UNKNOWN_ID, id));
    }
    return found;
  }

  private static <T> Map<String, T> byId(List<T> all, Function<T, String> id) {
    Map<String, T> byId = new LinkedHashMap<>();
    for (T each : all) {
      byId.put(id.apply(each), each);
    }
    return byId;
  }
}
