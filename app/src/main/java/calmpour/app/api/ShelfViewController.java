package calmpour.app.api;

import calmpour.app.store.DemoData;
import calmpour.app.store.ShelfKind;
import calmpour.app.store.ShelfStore;
import calmpour.core.check.Check;
import calmpour.core.cup.CupKind;
import calmpour.core.cure.Calibrated;
import calmpour.core.cure.EngineModel;
import calmpour.core.derive.Known;
import calmpour.core.derive.Origin;
import calmpour.core.design.Design;
import calmpour.core.embed.Embed;
import calmpour.core.resin.LabelCheck;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Workshop;
import calmpour.core.stock.ResinPart;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Colourant;
import calmpour.core.tint.CountedRecipe;
import calmpour.core.tint.Together;
import calmpour.core.tint.Weighed;
import calmpour.core.tool.Tool;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The shelf as it is looked at: every material with what follows from what is known of it. */
@RestController
public class ShelfViewController {
  private final ShelfStore shelf;
  private final DemoData demo;
  private final EngineModel cure;

  ShelfViewController(ShelfStore shelf, DemoData demo, EngineModel cure) {
    this.shelf = shelf;
    this.demo = demo;
    this.cure = cure;
  }

  /** A number with what it rests on. */
  public record KnownView(double value, Origin origin) {
    static KnownView of(Known known) {
      return new KnownView(known.value(), known.origin());
    }
  }

  /**
   * A resin with what its label comes to.
   *
   * @param doubts where the label contradicts itself
   * @param refusals what of it the cure engine cannot meet
   * @param clock what the times that follow rest on; null where a rule of thumb stands in
   */
  public record ResinView(
      ResinSystem resin,
      KnownView densityA,
      KnownView densityB,
      double mixedDensity,
      KnownView potLifeMinutes,
      KnownView potLifeMassG,
      KnownView potLifeTemperatureC,
      List<LabelCheck.LabelDoubt> doubts,
      List<Calibrated.Refusal> refusals,
      @Nullable ClockView clock) {
    static ResinView of(ResinSystem resin, EngineModel cure) {
      return new ResinView(
          resin,
          KnownView.of(resin.knownDensityA()),
          KnownView.of(resin.knownDensityB()),
          resin.mixedDensity(),
          KnownView.of(resin.knownPotLifeMinutes()),
          KnownView.of(resin.knownPotLifeMassG()),
          KnownView.of(resin.knownPotLifeTemperatureC()),
          LabelCheck.of(resin),
          cure.calibrated(resin).refusals(),
          ClockView.of(resin, cure));
    }
  }

  /**
   * A colourant with its implement.
   *
   * @param each mass of one drop or one scoop, g
   * @param spread of it, as a share; null where nobody weighed any
   */
  public record ColourantView(Colourant colourant, KnownView each, @Nullable Double spread) {
    static ColourantView of(Colourant colourant) {
      Weighed weighed = colourant.shelf() == null ? null : colourant.shelf().weighed();
      Known each =
          colourant.form().liquid()
              ? colourant.knownDropG()
              : new Known(
                  colourant.knownScoopMl().value() * colourant.knownBulkDensity().value(),
                  colourant.knownScoopMl().origin());
      return new ColourantView(
          colourant, KnownView.of(each), weighed == null ? null : weighed.spread());
    }
  }

  /** A cup with what it holds to the brim. */
  public record CupView(CupKind cup, double capacityMl) {}

  /** An embed with what becomes of it in each resin. */
  public record EmbedView(
      Embed embed, double density, double displacesMl, List<EmbedIn> tendencies) {}

  /** What an embed does in a resin when it is let go. */
  public record EmbedIn(String resinId, Embed.Tendency tendency) {}

  /**
   * All shelves but the moulds.
   *
   * @param unreadable names of what is kept, moulds among it, and cannot be read
   */
  public record ShelfView(
      List<ResinView> resins,
      List<ResinPart> parts,
      List<ColourantView> colourants,
      List<Colour> colours,
      List<EmbedView> embeds,
      List<CupView> cups,
      List<Tool> tools,
      List<Design> designs,
      List<String> unreadable) {}

  /** What drops or scoops came to. */
  public record WeighedAnswer(double eachG, double spread) {}

  @GetMapping("/api/shelf")
  ShelfView shelf() {
    Workshop workshop = shelf.workshop();
    List<ResinView> resins = new ArrayList<>();
    for (ResinSystem resin : workshop.resins()) {
      resins.add(ResinView.of(workshop.asBottled(resin), cure));
    }
    return new ShelfView(
        resins,
        workshop.parts(),
        workshop.colourants().stream().map(ColourantView::of).toList(),
        workshop.colours(),
        workshop.embeds().stream().map(e -> embed(e, resins)).toList(),
        workshop.cups().stream().map(c -> new CupView(c, c.capacityMl())).toList(),
        workshop.tools(),
        shelf.all(ShelfKind.DESIGN),
        shelf.unreadable());
  }

  private static EmbedView embed(Embed embed, List<ResinView> resins) {
    return new EmbedView(
        embed,
        embed.knownDensity(),
        embed.displacesMl(),
        resins.stream().map(r -> new EmbedIn(r.resin().id(), embed.in(r.mixedDensity()))).toList());
  }

  /** Holds a label against itself while it is being copied down. */
  @PostMapping("/api/resins/check")
  ResinView check(@RequestBody ResinSystem resin) {
    return ResinView.of(resin, cure);
  }

  /** What one drop or scoop weighs, while the scale is being read. */
  @PostMapping("/api/colourants/weigh")
  WeighedAnswer weigh(@RequestBody Weighed weighed) {
    return new WeighedAnswer(weighed.eachG(), weighed.spread());
  }

  /** What is on the screen to go with something. */
  public record Beside(String swatch) {}

  /** A jar or a colour that goes with it. */
  public record Goes(String id, String name, String swatch, boolean jar) {}

  /** Of one's own colours and jars what goes with one: round the colour wheel. */
  @PostMapping("/api/colours/together")
  Together<Goes> together(@RequestBody Beside beside) {
    new Check().present("swatch", beside.swatch()).colour("swatch", beside.swatch()).orThrow();
    Workshop workshop = shelf.workshop();
    List<Goes> own = new ArrayList<>();
    workshop.colours().stream()
        .filter(c -> !c.clear())
        .forEach(c -> own.add(new Goes(c.id(), c.name(), c.swatch(), false)));
    workshop.colourants().forEach(c -> own.add(new Goes(c.id(), c.name(), c.swatch(), true)));
    return Together.with(beside.swatch(), own, Goes::swatch);
  }

  /** A colour as it is counted, in every way it can be told. */
  @PostMapping("/api/colours/counted")
  CountedRecipe.RecipeTold counted(@RequestBody CountedRecipe recipe) {
    return recipe.told();
  }

  /** The demo's materials, for copying single ones into a workshop of one's own. */
  @GetMapping("/api/demo/workshop")
  Workshop demoWorkshop() {
    return demo.workshop();
  }
}
