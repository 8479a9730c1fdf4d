package calmpour.app.api;

import calmpour.app.device.RoomSensor;
import calmpour.app.device.Scale;
import calmpour.app.device.SimulatedAir;
import calmpour.app.device.SimulatedScale;
import calmpour.core.check.Check;
import calmpour.core.check.Range;
import calmpour.core.plan.doc.CupId;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What the things on the bench say, and the panel that drives those that are not there. */
@RestController
@RequestMapping("/api/devices")
public class DeviceController {
  private final Scale scale;
  private final RoomSensor room;
  private final SimulatedScale simulatedScale;
  private final SimulatedAir simulatedAir;
  private final boolean demo;
  private final boolean scaleSimulated;

  DeviceController(
      Scale scale,
      RoomSensor room,
      SimulatedScale simulatedScale,
      SimulatedAir simulatedAir,
      @Value("${calmpour.demo}") boolean demo,
      @Value("${calmpour.scale:}") String address) {
    this.scale = scale;
    this.room = room;
    this.simulatedScale = simulatedScale;
    this.simulatedAir = simulatedAir;
    this.demo = demo;
    this.scaleSimulated = demo && address.isBlank();
  }

  /**
   * All of them at once.
   *
   * @param air null while nothing is measured
   * @param simulated whether the panel drives them
   * @param scaleSimulated whether the scale is made up, too, and none of the workshop's
   */
  public record DevicesNow(
      Scale.Reading scale,
      RoomSensor.@Nullable Air air,
      boolean simulated,
      boolean scaleSimulated) {}

  /**
   * What happens to the stand-ins; what is null stays as it is.
   *
   * @param pourToG a hand pours until the scale shows that
   * @param putG something of that mass stands on the scale
   * @param plugged whether the scale is
   * @param roomC temperature of the room; below -50 the sensor says nothing
   * @param cupId of a cup that is warmer than it should be
   * @param cupWarmerC by how much
   */
  public record Simulated(
      @Nullable Double pourToG,
      @Nullable Double putG,
      @Nullable Boolean plugged,
      @Nullable Boolean silent,
      @Nullable Boolean garbled,
      @Nullable Double roomC,
      @Nullable CupId cupId,
      @Nullable Double cupWarmerC) {
    public static final Range POUR_TO_G = new Range(0, 50_000);
    public static final Range PUT_G = new Range(-1_000, 50_000);
    public static final Range ROOM_C = new Range(-100, 60);
    public static final Range CUP_WARMER_C = new Range(-50, 150);

    public Simulated {
      new Check()
          .within("pourToG", pourToG, POUR_TO_G)
          .within("putG", putG, PUT_G)
          .within("roomC", roomC, ROOM_C)
          .within("cupWarmerC", cupWarmerC, CUP_WARMER_C)
          .orThrow();
    }
  }

  @GetMapping
  DevicesNow now() {
    Optional<RoomSensor.Air> air = room.now();
    return new DevicesNow(scale.now(), air.orElse(null), demo, scaleSimulated);
  }

  @PostMapping("/tare")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void tare() {
    scale.tare();
  }

  @PostMapping("/simulated")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void simulate(@RequestBody Simulated what) {
    if (!demo) {
      throw new NotFoundException("only the demo has stand-ins for what is on the bench");
    }
    if (what.plugged() != null) {
      simulatedScale.plug(what.plugged());
    }
    if (what.silent() != null) {
      simulatedScale.silence(what.silent());
    }
    if (what.garbled() != null) {
      simulatedScale.garble(what.garbled());
    }
    if (what.putG() != null) {
      simulatedScale.put(what.putG());
    }
    if (what.pourToG() != null) {
      simulatedScale.pourTo(what.pourToG());
    }
    if (what.roomC() != null) {
      simulatedAir.set(what.roomC() < -50 ? null : new RoomSensor.Air(what.roomC(), 42));
    }
    if (what.cupId() != null && what.cupWarmerC() != null) {
      simulatedAir.warm(what.cupId(), what.cupWarmerC());
    }
  }
}
