package calmpour.app.store;

import java.sql.SQLException;
import org.h2.api.ErrorCode;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;

/** Says in a sentence that a second start wants the folder of the first. */
public class WorkshopInUse extends AbstractFailureAnalyzer<SQLException> {
  @Override
  protected @Nullable FailureAnalysis analyze(Throwable root, SQLException cause) {
    return cause.getErrorCode() == ErrorCode.DATABASE_ALREADY_OPEN_1
        ? new FailureAnalysis(
            "This workshop's folder is open in another Calm Pour.",
            "Use the one that runs, stop it, or start with another --data folder.",
            cause)
        : null;
  }
}
