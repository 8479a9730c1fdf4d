package calmpour.app.store;

import calmpour.core.cup.CupKind;
import calmpour.core.design.Design;
import calmpour.core.embed.Embed;
import calmpour.core.mould.Mould;
import calmpour.core.resin.ResinSystem;
import calmpour.core.stock.ResinPart;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Colourant;
import calmpour.core.tool.Tool;
import java.util.List;
import java.util.function.Function;

/**
 * What can stand on a shelf, and how its documents are named.
 *
 * @param <T> the record of core that one document holds
 */
public final class ShelfKind<T> {
  public static final ShelfKind<Mould> MOULD =
      new ShelfKind<>("mould", Mould.class, Mould::id, Mould::name);
  public static final ShelfKind<ResinSystem> RESIN =
      new ShelfKind<>("resin", ResinSystem.class, ResinSystem::id, ResinSystem::name);
  public static final ShelfKind<Colourant> COLOURANT =
      new ShelfKind<>("colourant", Colourant.class, Colourant::id, Colourant::name);
  public static final ShelfKind<Colour> COLOUR =
      new ShelfKind<>("colour", Colour.class, Colour::id, Colour::name);
  public static final ShelfKind<CupKind> CUP =
      new ShelfKind<>("cup", CupKind.class, CupKind::id, CupKind::name);

  public static final ShelfKind<ResinPart> PART =
      new ShelfKind<>("part", ResinPart.class, ResinPart::id, ResinPart::name);
  public static final ShelfKind<Embed> EMBED =
      new ShelfKind<>("embed", Embed.class, Embed::id, Embed::name);

  public static final ShelfKind<Tool> TOOL =
      new ShelfKind<>("tool", Tool.class, Tool::id, Tool::name);
  public static final ShelfKind<Design> DESIGN =
      new ShelfKind<>("design", Design.class, Design::id, Design::name);

  static final List<ShelfKind<?>> ALL =
      List.of(MOULD, RESIN, COLOURANT, COLOUR, CUP, PART, EMBED, TOOL, DESIGN);

  private final String key;
  private final Class<T> type;
  private final Function<T, String> id;
  private final Function<T, String> name;

  private ShelfKind(String key, Class<T> type, Function<T, String> id, Function<T, String> name) {
    this.key = key;
    this.type = type;
    this.id = id;
    this.name = name;
  }

  String key() {
    return key;
  }

  Class<T> type() {
    return type;
  }

  public String id(T item) {
    return id.apply(item);
  }

  String name(T item) {
    return name.apply(item);
  }
}
