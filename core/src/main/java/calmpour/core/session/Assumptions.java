package calmpour.core.session;

import calmpour.core.cup.CupKind;
import calmpour.core.derive.Known;
import calmpour.core.resin.ResinSystem;
import calmpour.core.tint.Colourant;
import java.util.ArrayList;
import java.util.List;

/** Values that nobody has measured and no label says, each told once. */
final class Assumptions {
  private final List<Job.Assumption> all = new ArrayList<>();

  List<Job.Assumption> all() {
    return List.copyOf(all);
  }

  void cup(CupKind cup) {
    all.add(new Job.Assumption(cup.id(), cup.name(), "capacity", cup.capacityMl(), "mL"));
  }

  void resin(ResinSystem resin) {
    String id = resin.id();
    String name = resin.name();
    assume(id, name, "densityA", resin.knownDensityA(), "g/mL");
    assume(id, name, "densityB", resin.knownDensityB(), "g/mL");
    assume(id, name, "potLifeMinutes", resin.knownPotLifeMinutes(), "min");
    assume(id, name, "potLifeMassG", resin.knownPotLifeMassG(), "g");
    assume(id, name, "potLifeTemperatureC", resin.knownPotLifeTemperatureC(), "°C");
  }

  void colourant(Colourant colourant) {
    String id = colourant.id();
    String name = colourant.name();
    if (all.stream().anyMatch(a -> a.subjectId().equals(id))) {
      return;
    }
    assume(id, name, "bulkDensity", colourant.knownBulkDensity(), "g/mL");
    assume(id, name, "trueDensity", colourant.knownTrueDensity(), "g/mL");
    if (colourant.knownWaterPercent().value() > 0) {
      assume(id, name, "waterPercent", colourant.knownWaterPercent(), "%");
    }
    if (colourant.knownSolventPercent().value() > 0) {
      assume(id, name, "solventPercent", colourant.knownSolventPercent(), "%");
    }
    if (colourant.form().liquid()) {
      assume(id, name, "dropG", colourant.knownDropG(), "g");
    } else {
      assume(id, name, "scoopMl", colourant.knownScoopMl(), "mL");
    }
  }

  private void assume(String id, String name, String quantity, Known known, String unit) {
    if (known.assumed()) {
      all.add(Job.Assumption.of(id, name, quantity, known, unit));
    }
  }
}
