package calmpour.app;

import calmpour.app.device.LineScale;
import calmpour.app.device.NoScale;
import calmpour.app.device.Scale;
import calmpour.app.device.SimulatedAir;
import calmpour.app.device.SimulatedScale;
import calmpour.app.device.SpoolFolder;
import calmpour.app.store.WorkshopClock;
import calmpour.app.work.SharedHelpers;
import calmpour.core.audit.Audit;
import calmpour.core.cure.EngineModel;
import calmpour.core.plan.Planner;
import calmpour.core.run.RunReader;
import java.net.InetSocketAddress;
import java.nio.file.Path;
import java.time.Clock;
import org.jooq.DSLContext;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.EnableScheduling;

/** The server: one process on this machine, serving one workshop. */
@SpringBootApplication
@EnableScheduling
public class App {
  /**
   * Of a run every second is another history of every cup: what is not asked for within one look is
   * never asked for again, and must not push out what the planner remembers.
   */
  private static final int BODIES_AT_BENCH = 200;

  public static void main(String[] args) {
    SpringApplication.run(App.class, args);
  }

  @Bean
  WorkshopClock clock(DSLContext db, @Value("${calmpour.demo}") boolean demo) {
    return new WorkshopClock(db, Clock.systemUTC(), demo);
  }

  /** Stands in for what is on the bench until something real is plugged in. */
  @Bean
  SimulatedScale simulatedScale() {
    return new SimulatedScale();
  }

  /** In one's own workshop nothing is made up: without an address there is no scale. */
  @Bean
  Scale scale(
      SimulatedScale standIn,
      @Value("${calmpour.demo}") boolean demo,
      @Value("${calmpour.scale:}") String address) {
    if (address.isBlank()) {
      return demo ? new LineScale(standIn.address()) : new NoScale();
    }
    int colon = address.lastIndexOf(':');
    return new LineScale(
        new InetSocketAddress(
            address.substring(0, colon), Integer.parseInt(address.substring(colon + 1))));
  }

  @Bean
  SimulatedAir simulatedAir() {
    return new SimulatedAir();
  }

  /** Stands in for the printer: its files lie beside the workshop's. */
  @Bean
  SpoolFolder tagPrinter(
      @Value("${calmpour.data}") String data, @Value("${calmpour.tags:}") String folder) {
    return new SpoolFolder(Path.of(folder.isBlank() ? data + "-tags" : folder));
  }

  @Bean
  SharedHelpers helpers() {
    return new SharedHelpers();
  }

  @Bean
  RunReader runs(SharedHelpers helpers) {
    return new RunReader(new EngineModel(helpers, BODIES_AT_BENCH), helpers);
  }

  @Bean
  EngineModel cure(SharedHelpers helpers) {
    return new EngineModel(helpers);
  }

  @Bean
  Planner planner(EngineModel cure) {
    return new Planner(cure, new Audit());
  }

  @EventListener
  void ready(ApplicationReadyEvent event) {
    if (event.getApplicationContext() instanceof ServletWebServerApplicationContext web
        && web.getWebServer() != null) {
      System.out.println(
          "Calm Pour is ready at http://127.0.0.1:" + web.getWebServer().getPort() + "/");
    }
  }
}
