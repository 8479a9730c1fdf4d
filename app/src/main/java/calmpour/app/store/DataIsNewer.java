package calmpour.app.store;

import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;

/** Says in a sentence that this program is older than the data it was given. */
public class DataIsNewer extends AbstractFailureAnalyzer<Keeping.NewerData> {
  @Override
  protected FailureAnalysis analyze(Throwable root, Keeping.NewerData cause) {
    return new FailureAnalysis(
        "This workshop's folder was written by a newer Calm Pour. Nothing in it was changed.",
        "Start the newer Calm Pour, or this one with another --data folder.",
        cause);
  }
}
