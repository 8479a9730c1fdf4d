package calmpour.app.work;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/** Works the journal out anew before anybody asks, where the start says so. */
@Component
class RebuildAtStart implements ApplicationRunner {
  private final JournalDesk journal;
  private final TimingDesk timings;
  private final boolean wanted;

  RebuildAtStart(
      JournalDesk journal, TimingDesk timings, @Value("${calmpour.rebuild:false}") boolean wanted) {
    this.journal = journal;
    this.timings = timings;
    this.wanted = wanted;
  }

  @Override
  public void run(ApplicationArguments args) {
    if (wanted) {
      timings.rebuild();
      journal.rebuild();
      System.out.println("The journal was worked out anew from what was told.");
    }
  }
}
