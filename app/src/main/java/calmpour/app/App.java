package calmpour.app;

import calmpour.app.store.WorkshopClock;
import calmpour.core.audit.Audit;
import calmpour.core.cure.EngineModel;
import calmpour.core.plan.Planner;
import calmpour.core.run.Runs;
import java.time.Clock;
import org.jooq.DSLContext;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.event.EventListener;

/** The server: one process on this machine, serving one workshop. */
@SpringBootApplication
public class App {
  public static void main(String[] args) {
    SpringApplication.run(App.class, args);
  }

  @Bean
  WorkshopClock clock(DSLContext db) {
    return new WorkshopClock(db, Clock.systemUTC());
  }

  @Bean
  Runs runs(EngineModel cure) {
    return new Runs(cure);
  }

  @Bean
  EngineModel cure() {
    return new EngineModel();
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
