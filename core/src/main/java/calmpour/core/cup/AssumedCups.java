package calmpour.core.cup;

import java.util.List;

/** Cups that stand in until the maker says which ones there are; no source. */
public final class AssumedCups {
  public static final List<CupKind> ALL =
      List.of(
          new CupKind("assumed-colour-cup", "Colour cup", CupKind.Use.EITHER, 44, 62, 60),
          new CupKind("assumed-mixing-cup", "Mixing cup", CupKind.Use.MIXING, 74, 98, 130));

  private AssumedCups() {}
}
