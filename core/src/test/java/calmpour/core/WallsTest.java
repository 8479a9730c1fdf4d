package calmpour.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.library.Architectures;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Core stays pure: no framework, no input or output, no clock, no chance. */
class WallsTest {
  private static final String PLAN = "calmpour.core.plan";
  private static final JavaClasses CORE =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("calmpour.core");

  @Test
  void coreDependsOnNothingButTheLanguageAndNumerics() {
    classes()
        .should()
        .onlyDependOnClassesThat()
        .resideInAnyPackage(
            "calmpour.core..", "java..", "org.jspecify.annotations", "org.hipparchus..")
        .check(CORE);
    noClasses()
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("java.io..", "java.nio.file..", "java.net..", "java.sql..")
        .because("what is read or kept is the server's business")
        .check(
            CORE.that(
                com.tngtech.archunit.base.DescribedPredicate.describe(
                    "are not exceptions", c -> !c.isAssignableTo(Throwable.class))));
  }

  @Test
  void coreAsksNeitherClockNorChance() {
    noClasses()
        .should()
        .callMethod(System.class, "currentTimeMillis")
        .orShould()
        .callMethod(System.class, "nanoTime")
        .orShould()
        .callMethod(Math.class, "random")
        .orShould()
        .callMethod(java.time.Instant.class, "now")
        .orShould()
        .callMethod(java.time.LocalDateTime.class, "now")
        .orShould()
        .dependOnClassesThat()
        .haveFullyQualifiedName("java.time.Clock")
        .check(CORE);
  }

  @Test
  void foldersDoNotDependOnEachOtherInCircles() {
    slices().matching("calmpour.core.(*)..").should().beFreeOfCycles().check(CORE);
  }

  /** From the ground up; a room uses those before it and none beside or after it. */
  private static final List<List<String>> FLOORS =
      List.of(
          List.of("check", "derive", "unit", "work"),
          List.of("habit", "mould", "resin", "stock", "tool"),
          List.of("design", "tint"),
          List.of("cure"),
          List.of("cup", "embed"),
          List.of("session"),
          List.of("plan"),
          List.of("audit", "run"),
          List.of("journal", "practice"));

  @Test
  void roomsOfCoreStandOnWhatLiesBelow() {
    List<String> higher = new ArrayList<>();
    for (List<String> floor : FLOORS.reversed()) {
      for (String room : floor) {
        List<String> beside = new ArrayList<>(floor);
        beside.remove(room);
        beside.addAll(higher);
        for (String other : beside) {
          noClasses()
              .that()
              .resideInAPackage("calmpour.core." + room + "..")
              .should()
              .dependOnClassesThat()
              .resideInAPackage("calmpour.core." + other + "..")
              .check(CORE);
        }
      }
      higher.addAll(floor);
    }
    assertThat(CORE.stream().map(c -> c.getPackageName().split("\\.", -1)[2]).distinct())
        .containsExactlyInAnyOrderElementsOf(higher);
  }

  /** What a plan says lies below; how much and when know nothing of each other. */
  @Test
  void roomsOfThePlannerStandOnWhatLiesBelow() {
    Architectures.LayeredArchitecture rooms =
        layeredArchitecture().consideringOnlyDependenciesInLayers();
    for (String room : List.of("doc", "amounts", "time", "search", "bench", "ways")) {
      rooms = rooms.layer(room).definedBy(PLAN + "." + room);
    }
    rooms
        .layer("facade")
        .definedBy(PLAN)
        .whereLayer("facade")
        .mayNotBeAccessedByAnyLayer()
        .whereLayer("ways")
        .mayOnlyBeAccessedByLayers("facade")
        .whereLayer("bench")
        .mayOnlyBeAccessedByLayers("facade")
        .whereLayer("search")
        .mayOnlyBeAccessedByLayers("facade", "ways")
        .whereLayer("time")
        .mayOnlyBeAccessedByLayers("facade", "search")
        .whereLayer("amounts")
        .mayOnlyBeAccessedByLayers("facade", "search", "bench")
        .check(CORE);
  }
}
