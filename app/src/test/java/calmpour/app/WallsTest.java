package calmpour.app;

import static com.tngtech.archunit.library.Architectures.layeredArchitecture;

import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** The server's rooms: what is asked stands on what is kept, read and measured. */
class WallsTest {
  @Test
  void roomsOfTheServerStandOnWhatLiesBelow() {
    layeredArchitecture()
        .consideringOnlyDependenciesInLayers()
        .layer("api")
        .definedBy("calmpour.app.api..")
        .layer("store")
        .definedBy("calmpour.app.store..")
        .layer("work")
        .definedBy("calmpour.app.work..")
        .layer("format")
        .definedBy("calmpour.app.format..")
        .layer("device")
        .definedBy("calmpour.app.device..")
        .whereLayer("api")
        .mayNotBeAccessedByAnyLayer()
        .whereLayer("store")
        .mayOnlyBeAccessedByLayers("api", "work")
        .whereLayer("work")
        .mayOnlyBeAccessedByLayers("api")
        .whereLayer("format")
        .mayOnlyBeAccessedByLayers("api", "store")
        .whereLayer("device")
        .mayOnlyBeAccessedByLayers("api")
        .check(
            new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests())
                .importPackages("calmpour.app"));
  }
}
