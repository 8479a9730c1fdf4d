package calmpour.app.work;

import calmpour.core.practice.Seen;
import calmpour.core.run.Change;
import calmpour.core.run.RunState;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How a run stands.
 *
 * @param told how many events it comes from
 * @param now by the clock of the server, or of the rehearsal
 * @param speed how many seconds of that clock are one of the world; 0 while it is held
 * @param before steps of this telling that somebody else had told before
 * @param change what the last telling made of the rest; null where it stayed as it was
 * @param seen what one would see at the bench, where the evening is only rehearsed; null elsewhere
 */
public record StandsNow(
    int told,
    Instant now,
    int speed,
    List<String> before,
    @Nullable Change change,
    RunState state,
    @Nullable Seen seen) {}
