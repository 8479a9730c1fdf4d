package calmpour.core.plan;

import calmpour.core.cup.CupKind;
import calmpour.core.design.Fill;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.design.WetWork;
import calmpour.core.habit.FillTo;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Hands;
import calmpour.core.mould.Mould;
import calmpour.core.resin.CureTimes;
import calmpour.core.resin.MixRatio;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Arrangement;
import calmpour.core.session.Piece;
import calmpour.core.session.Room;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Colourant;
import calmpour.core.tint.ColourantForm;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;

/**
 * A session of as many moulds as one likes, two cavities each: three layers over three days, ten
 * colours, two resins.
 */
public record BigSession(Session session, Workshop workshop) {
  private static ResinSystem resin(String id, double potLife) {
    return new ResinSystem(
        id,
        id,
        ResinKind.CASTING,
        new MixRatio(2, 1, MixRatio.Basis.WEIGHT),
        1.15,
        1.01,
        potLife,
        100.0,
        24.0,
        600.0,
        3.0,
        null,
        null,
        null,
        new CureTimes(6.0, 4.0, 12.0, 24.0, 10.0, 72.0),
        null,
        null,
        null);
  }

  /** Like the workshop's own: 14 cavities, five colours, one resin, one layer, an evening. */
  public static BigSession evening() {
    return of(7, 5, false);
  }

  /** The same in a room that gets cold at night, every mould filled to a dome and drawn in. */
  public BigSession withAllOfTheCraft() {
    Room cold =
        new Room(
            22,
            45.0,
            List.of(
                new Room.RoomChange(22 * 60, 15, Room.Days.EVERY_DAY),
                new Room.RoomChange(7 * 60, 22, Room.Days.WORKDAYS)));
    List<Piece> pieces =
        session.pieces().stream()
            .map(p ->
                p.withLayers(
                        p.layers().stream()
                            .map(
                                l -> l.withWet(List.of(new WetWork(WetWork.Kind.DRAWN, 0.2, null))))
                            .toList())
                    .withWork(p.workOrNone().withFill(FillTo.DOMED)))
            .toList();
    return new BigSession(session.withRoom(cold).withPieces(pieces), workshop);
  }

  public static BigSession of(int moulds) {
    return of(moulds, 10, true);
  }

  private static BigSession of(int moulds, int colourCount, boolean layered) {
    List<Mould> all = new ArrayList<>();
    List<Piece> pieces = new ArrayList<>();
    List<Colour> colours = new ArrayList<>();
    for (int c = 0; c < colourCount; c++) {
      colours.add(
          new Colour(
              "c" + c, "Colour " + c, "#446688", List.of(new Colour.Part("tint", 1 + c / 5.0))));
    }
    // A session has at most 200 lines; beyond, each mould stands on the board twice as often.
    int lines = Math.min(moulds, 120);
    for (int m = 0; m < lines; m++) {
      all.add(Mould.told("m" + m, "Mould " + m, 4 + (m * 7) % 17, 10.0 + m % 9, 1.0));
      String resin = m % 2 == 0 ? null : "other";
      pieces.add(
          new Piece(
              "m" + m,
              2 * moulds / lines,
              layered
                  ? List.of(
                      layer(m, resin, Fill.ofShare(0.3), Join.TOGETHER),
                      layer(m + 3, resin, Fill.ofShare(0.3), m % 3 == 0 ? Join.GEL : Join.CURED),
                      layer(m + 7, resin, null, Join.CURED))
                  : List.of(layer(m % 5, null, null, Join.TOGETHER))));
    }
    Workshop workshop =
        new Workshop(
            all,
            List.of(resin("slow", 60), resin("other", 45)),
            List.of(
                new Colourant(
                    "tint",
                    "Tint",
                    ColourantForm.LIQUID_TINT,
                    "#446688",
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null)),
            colours,
            List.of(
                new CupKind("mix", "Mixing cup", CupKind.Use.MIXING, 90, 120, 140),
                new CupKind("small", "Colour cup", CupKind.Use.COLOUR, 40, 54, 60)));
    Session session =
        new Session(
            "Bench",
            LocalDateTime.of(2026, 11, 28, 10, 0),
            "Europe/London",
            new Room(22, null),
            "slow",
            pieces,
            null,
            List.of(),
            1,
            List.of(),
            List.of(),
            Habits.DEFAULT,
            Hands.DEFAULT,
            null,
            Arrangement.FREE);
    return new BigSession(session, workshop);
  }

  private static Layer layer(int colour, String resin, Fill fill, Join join) {
    return new Layer("c" + colour % 10, fill, join, resin, List.of(), null, List.of());
  }
}
