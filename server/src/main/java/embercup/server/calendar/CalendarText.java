package embercup.server.calendar;

import embercup.server.platform.HouseWords;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.Temporal;
import java.util.List;
import java.util.Map;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Recur;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.RRule;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableMethod;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import net.fortuna.ical4j.transform.recurrence.Frequency;

/** Writes events as RFC 5545 has them. Stateless. */
final class CalendarText {

    /** Octets that a line may have, without its end (RFC 5545, 3.1). */
    private static final int LINE_OCTETS = 75;

    private static final String HOUSE = "@ember-cup";

    private CalendarText() {}

    static String written(List<VEvent> events) {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Ember Cup//Household//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        calendar.add(ImmutableMethod.PUBLISH);
        events.forEach(calendar::add);
        return folded(calendar.toString());
    }

    /** The library folds by characters, the standard by octets, and never within a character. */
    private static String folded(String text) {
        StringBuilder lines = new StringBuilder(text.length() + text.length() / LINE_OCTETS * 3);
        for (int begins = 0; begins < text.length(); ) {
            int ends = text.indexOf('\n', begins) + 1;
            ends = ends == 0 ? text.length() : ends;
            fold(lines, text, begins, ends);
            begins = ends;
        }
        return lines.toString();
    }

    /** One line with its end, folded where the next character would be one too many. */
    private static void fold(StringBuilder lines, String text, int begins, int ends) {
        int octets = 0;
        int from = begins;
        for (int i = begins; i < ends; i = text.offsetByCodePoints(i, 1)) {
            char first = text.charAt(i);
            int more = first == '\r' || first == '\n' ? 0 : octets(text.codePointAt(i));
            if (octets + more > LINE_OCTETS) {
                lines.append(text, from, i).append("\r\n ");
                from = i;
                octets = 1;
            }
            octets += more;
        }
        lines.append(text, from, ends);
    }

    /** Of a character in UTF-8. */
    private static int octets(int codePoint) {
        if (codePoint < 0x80) {
            return 1;
        } else if (codePoint < 0x800) {
            return 2;
        }
        return codePoint < 0x10000 ? 3 : 4;
    }

    /** Of days: from the first to the last, both whole. */
    static VEvent days(Instant now, String uid, LocalDate first, LocalDate last, String summary) {
        return event(now, uid, first, last.plusDays(1), summary, "");
    }

    /** The same on every day from the first to the last. */
    static VEvent daily(Instant now, String uid, LocalDate first, LocalDate last, String summary) {
        VEvent event = days(now, uid, first, first, summary);
        event.add(new RRule<LocalDate>(new Recur.Builder<LocalDate>()
                .frequency(Frequency.DAILY)
                .until(last)
                .build()));
        return event;
    }

    static VEvent event(Instant now, String uid, Temporal start, Temporal end, String summary, String text) {
        VEvent event = new VEvent(start, end, summary);
        event.removeAll("DTSTAMP");
        event.add(new DtStamp(now));
        event.add(new Uid(uid + HOUSE));
        if (!text.isEmpty()) {
            event.add(new Description(text));
        }
        return event;
    }

    static String said(String key, String name, String drinker) {
        return HouseWords.words()
                .sentence(key, Map.of("name", name, "drinker", drinker, "forTrue", String.valueOf(!drinker.isEmpty())));
    }
}
