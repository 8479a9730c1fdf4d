package calmpour.app.api;

import calmpour.app.store.ShelfKind;
import calmpour.app.store.ShelfStore;
import calmpour.app.work.SettingsDesk;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.cup.CupKind;
import calmpour.core.design.Design;
import calmpour.core.embed.Embed;
import calmpour.core.mould.Mould;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Workshop;
import calmpour.core.stock.ResinPart;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Colourant;
import calmpour.core.tool.Tool;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The shelves: what there is, one more, one less. */
@RestController
@RequestMapping("/api")
public class ShelfController {
  private final ShelfStore shelf;
  private final SettingsDesk settings;

  ShelfController(ShelfStore shelf, SettingsDesk settings) {
    this.shelf = shelf;
    this.settings = settings;
  }

  @GetMapping("/workshop")
  Workshop workshop() {
    return shelf.workshop();
  }

  @PutMapping("/moulds/{id}")
  Mould putMould(@PathVariable String id, @RequestBody Mould mould) {
    Mould kept = put(ShelfKind.MOULD, id, mould);
    settings.kept(kept);
    return kept;
  }

  @DeleteMapping("/moulds/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeMould(@PathVariable String id) {
    remove(ShelfKind.MOULD, id);
    settings.gone(id);
  }

  @PutMapping("/resins/{id}")
  ResinSystem putResin(@PathVariable String id, @RequestBody ResinSystem resin) {
    return put(ShelfKind.RESIN, id, resin);
  }

  @DeleteMapping("/resins/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeResin(@PathVariable String id) {
    remove(ShelfKind.RESIN, id);
  }

  @PutMapping("/colourants/{id}")
  Colourant putColourant(@PathVariable String id, @RequestBody Colourant colourant) {
    return put(ShelfKind.COLOURANT, id, colourant);
  }

  @DeleteMapping("/colourants/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeColourant(@PathVariable String id) {
    remove(ShelfKind.COLOURANT, id);
  }

  @PutMapping("/colours/{id}")
  Colour putColour(@PathVariable String id, @RequestBody Colour colour) {
    return put(ShelfKind.COLOUR, id, colour);
  }

  @DeleteMapping("/colours/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeColour(@PathVariable String id) {
    remove(ShelfKind.COLOUR, id);
  }

  @PutMapping("/cups/{id}")
  CupKind putCup(@PathVariable String id, @RequestBody CupKind cup) {
    return put(ShelfKind.CUP, id, cup);
  }

  @DeleteMapping("/cups/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeCup(@PathVariable String id) {
    remove(ShelfKind.CUP, id);
  }

  @PutMapping("/parts/{id}")
  ResinPart putPart(@PathVariable String id, @RequestBody ResinPart part) {
    return put(ShelfKind.PART, id, part);
  }

  @DeleteMapping("/parts/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removePart(@PathVariable String id) {
    remove(ShelfKind.PART, id);
  }

  @PutMapping("/embeds/{id}")
  Embed putEmbed(@PathVariable String id, @RequestBody Embed embed) {
    return put(ShelfKind.EMBED, id, embed);
  }

  @DeleteMapping("/embeds/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeEmbed(@PathVariable String id) {
    remove(ShelfKind.EMBED, id);
  }

  @PutMapping("/tools/{id}")
  Tool putTool(@PathVariable String id, @RequestBody Tool tool) {
    return put(ShelfKind.TOOL, id, tool);
  }

  @DeleteMapping("/tools/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeTool(@PathVariable String id) {
    remove(ShelfKind.TOOL, id);
  }

  @GetMapping("/designs")
  List<Design> designs() {
    return shelf.all(ShelfKind.DESIGN);
  }

  @PutMapping("/designs/{id}")
  Design putDesign(@PathVariable String id, @RequestBody Design design) {
    return put(ShelfKind.DESIGN, id, design);
  }

  @DeleteMapping("/designs/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeDesign(@PathVariable String id) {
    remove(ShelfKind.DESIGN, id);
  }

  private <T> T put(ShelfKind<T> kind, String id, T item) {
    if (!id.equals(kind.id(item))) {
      throw new InvalidValuesException(
          List.of(Problem.of("id", Problem.Code.UNKNOWN_ID, kind.id(item))));
    }
    shelf.put(kind, item);
    return item;
  }

  private void remove(ShelfKind<?> kind, String id) {
    if (!shelf.remove(kind, id)) {
      throw new NotFoundException("there is no " + id + " on this shelf");
    }
  }
}
