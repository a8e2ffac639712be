package embercup.core.words;

import com.ibm.icu.text.ListFormatter;
import embercup.core.materia.HerbName;
import embercup.core.measure.Volume;
import embercup.core.reading.Asked;
import embercup.core.reading.Understood;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What was read of somebody's recipe, and what is asked of it. Millilitres to the millilitre, as they were written. Immutable. */
final class ReadingWords {

    private final Words words;
    private final ListFormatter or;

    ReadingWords(Words words) {
        this.words = words;
        this.or =
                ListFormatter.getInstance(words.catalogue().locale(), ListFormatter.Type.OR, ListFormatter.Width.WIDE);
    }

    /** Facts whose sentence depends on more than their components. */
    Optional<String> say(Record fact) {
        if (fact instanceof Understood.Plain plain) {
            return Optional.of(words.text("understood." + plain.kind().code()));
        } else if (fact instanceof Understood.Lasting lasting) {
            return Optional.of(words.text(
                    "understood." + lasting.kind().code(),
                    Map.of("time", words.numbers().minutes(lasting.minutes()))));
        } else if (fact instanceof Understood.Makes makes) {
            return volume("understood.makes", makes.liquor());
        } else if (fact instanceof Understood.Water water) {
            return volume("understood.water", water.start());
        } else if (fact instanceof Understood.Reduced reduced) {
            return volume("understood.reduced", reduced.to());
        } else if (fact instanceof Asked.WhichHerb which) {
            Map<String, Object> all = new HashMap<>();
            all.put("herbs", or.format(names(which.herbs())));
            return Optional.of(words.text("asked.which-herb", all));
        }
        return Optional.empty();
    }

    private Optional<String> volume(String key, Volume volume) {
        return Optional.of(words.text(key, Map.of("volume", words.numbers().exactMillilitres(volume.millilitres()))));
    }

    private List<String> names(List<HerbName> herbs) {
        return herbs.stream().map(h -> words.lower(h.common())).toList();
    }
}
