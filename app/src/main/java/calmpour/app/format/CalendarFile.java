package calmpour.app.format;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/** What is due as an iCalendar file (RFC 5545), for any calendar. */
public final class CalendarFile {
  private static final int MOST_OCTETS = 75;

  private CalendarFile() {}

  /**
   * One entry.
   *
   * @param uid the same as long as it is the same thing, so that a calendar moves it
   */
  public record Entry(String uid, String summary, String description, Instant from, Instant to) {}

  /**
   * @param stamp when the file is made
   */
  public static String of(List<Entry> entries, Instant stamp) {
    Calendar calendar = new Calendar();
    calendar.add(new ProdId("-//Calm Pour//Calm Pour 1//EN"));
    calendar.add(ImmutableVersion.VERSION_2_0);
    calendar.add(ImmutableCalScale.GREGORIAN);
    for (Entry entry : entries) {
      VEvent event = new VEvent(entry.from(), entry.to(), entry.summary());
      event.removeAll("DTSTAMP");
      event.add(new net.fortuna.ical4j.model.property.DtStamp(stamp));
      event.add(new Uid(entry.uid()));
      event.add(new Description(entry.description()));
      calendar.add(event);
    }
    return folded(calendar.toString());
  }

  /** No line longer than 75 octets, and no letter torn in two (RFC 5545, 3.1). */
  static String folded(String text) {
    StringBuilder out = new StringBuilder();
    for (String line : text.lines().toList()) {
      int octets = 0;
      for (int letter : line.codePoints().toArray()) {
        String one = Character.toString(letter);
        int its = one.getBytes(StandardCharsets.UTF_8).length;
        if (octets + its > MOST_OCTETS) {
          out.append("\r\n ");
          octets = 1;
        }
        out.append(one);
        octets += its;
      }
      out.append("\r\n");
    }
    return out.toString();
  }
}
