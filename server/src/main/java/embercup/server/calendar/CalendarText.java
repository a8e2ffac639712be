package embercup.server.calendar;

import embercup.server.platform.HouseWords;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.Temporal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.ComponentList;
import net.fortuna.ical4j.model.Property;
import net.fortuna.ical4j.model.PropertyList;
import net.fortuna.ical4j.model.Recur;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtEnd;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.RRule;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableMethod;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import net.fortuna.ical4j.transform.recurrence.Frequency;

/** Writes events as RFC 5545 has them. Stateless. */
final class CalendarText {

    /** Octets that a line may have, without its end (RFC 5545, 3.1). */
    private static final int LINE_OCTETS = 75;

    /** What stands between the two parts of a line that goes on; its blank is an octet of the second. */
    private static final byte[] FOLD = {'\r', '\n', ' '};

    private static final String HOUSE = "@ember-cup";

    private CalendarText() {}

    /** The whole calendar at once: what is added to one of the library's is copied with all that is in it. @return UTF-8 */
    static byte[] written(List<VEvent> events) {
        Calendar calendar = new Calendar(
                new PropertyList(List.of(
                        new ProdId("-//Ember Cup//Household//EN"),
                        ImmutableVersion.VERSION_2_0,
                        ImmutableCalScale.GREGORIAN,
                        ImmutableMethod.PUBLISH)),
                new ComponentList<>(events));
        return folded(calendar.toString().getBytes(StandardCharsets.UTF_8));
    }

    /** The library folds by characters, the standard by octets, and never within a character. @param text in UTF-8 */
    private static byte[] folded(byte[] text) {
        ByteArrayOutputStream lines = new ByteArrayOutputStream(text.length + text.length / LINE_OCTETS * FOLD.length);
        int begins = 0;
        int octets = 0;
        for (int i = 0; i < text.length; i++) {
            if (text[i] == '\r' || text[i] == '\n') {
                octets = 0;
            } else if (++octets > LINE_OCTETS) {
                int cut = beginOfCharacter(text, i);
                lines.write(text, begins, cut - begins);
                lines.writeBytes(FOLD);
                begins = cut;
                octets = 1 + i - cut + 1;
            }
        }
        lines.write(text, begins, text.length - begins);
        return lines.toByteArray();
    }

    /** Where the character begins of which an octet of UTF-8 is part (RFC 3629, 3). */
    private static int beginOfCharacter(byte[] text, int octet) {
        int at = octet;
        while ((text[at] & 0xC0) == 0x80) {
            at--;
        }
        return at;
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
        List<Property> all = new ArrayList<>(List.of(
                new DtStamp(now), new DtStart<>(start), new DtEnd<>(end), new Summary(summary), new Uid(uid + HOUSE)));
        if (!text.isEmpty()) {
            all.add(new Description(text));
        }
        return new VEvent(new PropertyList(all));
    }

    static String said(String key, String name, String drinker) {
        return HouseWords.words()
                .sentence(key, Map.of("name", name, "drinker", drinker, "forTrue", String.valueOf(!drinker.isEmpty())));
    }
}
