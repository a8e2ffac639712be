package embercup.server.shelf;

import embercup.core.keeping.InTheHouse;
import embercup.core.keeping.OnTheShelf;
import embercup.core.keeping.Place;
import embercup.core.keeping.ShelfLife;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Length;
import embercup.core.workings.Limit;
import embercup.core.workings.Wanted;
import embercup.server.herbs.HerbUses;
import embercup.server.herbs.HouseMateria;
import embercup.server.kitchen.Kitchens;
import embercup.server.platform.Fields;
import embercup.server.platform.HouseWords;
import embercup.server.platform.Ids;
import embercup.server.platform.RefusedException;
import embercup.server.shelf.TakenFromTins.Since;
import embercup.server.shelf.TakenFromTins.Taken;
import embercup.server.shelf.Tin.Left;
import embercup.server.shelf.Tin.TinRequest;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The shelf: one tin for a herb and form. */
@Service
public class Shelf implements HerbUses {

    private static final int OLDEST_YEARS = 20;

    private final TinRepository repository;
    private final HouseMateria houseMateria;
    private final Kitchens kitchens;
    private final ObjectProvider<TakenFromTins> takers;
    private final Clock clock;

    Shelf(
            TinRepository repository,
            HouseMateria houseMateria,
            Kitchens kitchens,
            ObjectProvider<TakenFromTins> takers,
            Clock clock) {
        this.takers = takers;
        this.kitchens = kitchens;
        this.repository = repository;
        this.houseMateria = houseMateria;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<Tin> all() {
        List<TinEntity> all = repository.findAllByOrderByHerbAscFormAscIdAsc();
        return tins(all, new ArrayList<>(taken(all)));
    }

    /** All tins for who asks until when they are good and not how much is left: those who took of them are not asked. */
    @Transactional(readOnly = true)
    public List<Tin> dated() {
        List<TinEntity> all = repository.findAllByOrderByHerbAscFormAscIdAsc();
        return tins(all, Collections.nCopies(all.size(), null));
    }

    /** A tin by the last day on which it is good. */
    public record Good(UUID id, long version, String common, LocalDate until) {}

    /** Tins that are still good, of which a last day is known. */
    @Transactional(readOnly = true)
    public List<Good> good() {
        Materia materia = houseMateria.materia();
        LocalDate today = today();
        return repository.findAllByOrderByHerbAscFormAscIdAsc().stream()
                .flatMap(e -> materia.find(e.herb).flatMap(h -> good(e, h, today)).stream())
                .toList();
    }

    private static Optional<Good> good(TinEntity e, Herb herb, LocalDate today) {
        ShelfLife life = Life.of(e, herb, Fields.oneOf(Form.class, e.form, "form")).shelf;
        return life.until()
                .filter(until -> !life.over(today))
                .map(until -> new Good(e.id, Objects.requireNonNullElse(e.version, 0L), herb.common(), until));
    }

    private List<Tin> tins(List<TinEntity> all, List<@Nullable Taken> taken) {
        Materia materia = houseMateria.materia();
        LocalDate today = today();
        List<Tin> tins = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            tins.add(tin(all.get(i), materia, taken.get(i), today));
        }
        return tins;
    }

    /** What herbs are in the house; a tin in which nothing is left, as it is reckoned, is none. */
    @Transactional(readOnly = true)
    public InTheHouse inTheHouse() {
        return new InTheHouse(all().stream()
                .filter(t -> t.left() == null || t.left().grams() > 0)
                .map(Tin::herb)
                .collect(Collectors.toSet()));
    }

    /** How much of some herbs is left at the most, as it is reckoned, of what was weighed. */
    @Transactional(readOnly = true)
    public Map<OnTheShelf.Thing, Double> left(Set<String> herbs) {
        List<TinEntity> weighed = repository.findAllByHerbInAndGramsNotNullOrderByHerbAscFormAscIdAsc(herbs);
        if (weighed.isEmpty()) {
            return Map.of();
        }
        List<Taken> taken = taken(weighed);
        Map<OnTheShelf.Thing, Double> grams = new HashMap<>();
        for (int i = 0; i < weighed.size(); i++) {
            TinEntity e = weighed.get(i);
            grams.put(
                    new OnTheShelf.Thing(e.herb, Fields.oneOf(Form.class, e.form, "form")),
                    Objects.requireNonNull(left(e, taken.get(i))).highG());
        }
        return grams;
    }

    @Override
    @Transactional(readOnly = true)
    public List<String> usesOf(String slug) {
        return repository.existsByHerb(slug) ? List.of(HouseWords.words().sentence("use.tin", Map.of())) : List.of();
    }

    /** A second tin of the same herb and form is the first one filled again. */
    @Transactional
    public Tin put(TinRequest draft) {
        String herb = Fields.text(draft.herb(), "herb", Length.SLUG);
        Form form = Fields.oneOf(Form.class, draft.form(), "form", Form.DRIED);
        TinEntity e = repository.findByHerbAndForm(herb, Fields.code(form)).orElseGet(() -> {
            TinEntity added = new TinEntity();
            added.id = Ids.next(clock.millis());
            return added;
        });
        return write(e, draft, herb, form);
    }

    /** @throws RefusedException 409 with the tin as kept when the version is not the newest */
    @Transactional
    public Tin change(UUID id, TinRequest draft) {
        TinEntity e = entity(id);
        RefusedException.unlessNewest(draft.version(), e.version, "tin", () -> tin(e));
        Form form = Fields.oneOf(Form.class, draft.form(), "form", Form.DRIED);
        String herb = Fields.text(draft.herb(), "herb", Length.SLUG);
        if (repository
                .findByHerbAndForm(herb, Fields.code(form))
                .filter(o -> !o.id.equals(id))
                .isPresent()) {
            throw RefusedException.of(HttpStatus.CONFLICT, "tin-there", Map.of());
        }
        return write(e, draft, herb, form);
    }

    @Transactional
    public void remove(UUID id) {
        repository.delete(entity(id));
    }

    private TinEntity entity(UUID id) {
        return repository.findById(id).orElseThrow(() -> RefusedException.notFound("tin", id));
    }

    private Tin write(TinEntity e, TinRequest draft, String herb, Form form) {
        Herb known = houseMateria.materia().herb(herb, "herb");
        LocalDate filled = draft.filledOn() == null ? today() : draft.filledOn();
        checkFilled(filled);
        if (draft.grams() != null) {
            Fields.within(draft.grams(), "grams", Limit.TIN_G);
        }
        Place stood = Fields.oneOf(Place.class, e.place, "place", Place.usual(known, form));
        boolean same = herb.equals(e.herb) && Fields.code(form).equals(e.form) && stood.fits(known, form);
        Place place =
                draft.place() == null ? same ? stood : Place.usual(known, form) : place(draft.place(), known, form);
        if (!filled.equals(e.filledOn)) {
            e.bestBy = null;
        }
        e.herb = herb;
        e.form = Fields.code(form);
        e.filledOn = filled;
        boolean stays = Boolean.TRUE.equals(draft.amountStays()) && e.version != null;
        if (!stays) {
            e.weighedAt = clock.instant();
            e.grams = draft.grams();
        }
        e.place = place == Place.usual(known, form) ? null : Fields.code(place);
        e.note = Fields.textOrEmpty(draft.note(), "note", Length.LINE);
        return saved(e);
    }

    /** @throws InvalidInputException where a thing cannot stand */
    static Place place(String code, Herb herb, Form form) {
        Place place = Fields.oneOf(Place.class, code, "place");
        if (!place.fits(herb, form)) {
            throw InvalidInputException.of("place", code, new Wanted.OneOf(places(herb, form)));
        }
        return place;
    }

    Tin saved(TinEntity e) {
        return tin(repository.saveAndFlush(e));
    }

    Tin get(UUID id) {
        return tin(entity(id));
    }

    private static List<String> places(Herb herb, Form form) {
        return Arrays.stream(Place.values())
                .filter(p -> p.fits(herb, form))
                .map(Fields::code)
                .toList();
    }

    /** @throws InvalidInputException for a day to come, or so long ago that nothing of it is left */
    void checkFilled(LocalDate filled) {
        if (filled.isAfter(today()) || filled.isBefore(today().minusYears(OLDEST_YEARS))) {
            throw InvalidInputException.of("filledOn", filled, new Wanted.RecentDay(OLDEST_YEARS));
        }
    }

    private LocalDate today() {
        return kitchens.day(clock.instant());
    }

    private List<Taken> taken(List<TinEntity> of) {
        List<Since> since = of.stream()
                .map(e -> new Since(e.herb, Fields.oneOf(Form.class, e.form, "form"), e.weighedAt))
                .toList();
        Set<String> blends = blendsInJars();
        return takers.orderedStream()
                .map(t -> t.taken(since, blends))
                .reduce((a, b) -> IntStream.range(0, a.size())
                        .mapToObj(i -> a.get(i).and(b.get(i)))
                        .toList())
                .orElseThrow();
    }

    private Set<String> blendsInJars() {
        Materia materia = houseMateria.materia();
        return repository.herbs().stream()
                .filter(h -> materia.find(h).filter(Herb::mixed).isPresent())
                .collect(Collectors.toUnmodifiableSet());
    }

    private Tin tin(TinEntity e) {
        return tin(e, houseMateria.materia(), taken(List.of(e)).get(0), today());
    }

    private static @Nullable Left left(TinEntity e, @Nullable Taken taken) {
        if (e.grams == null || taken == null) {
            return null;
        }
        double left = e.grams - taken.grams();
        return new Left(
                Math.max(0, left),
                Math.max(0, left - taken.spreadG()),
                Math.max(0, left + taken.spreadG()),
                taken.brews());
    }

    private static Tin tin(TinEntity e, Materia materia, @Nullable Taken taken, LocalDate today) {
        Optional<Herb> herb = materia.find(e.herb);
        Form form = Fields.oneOf(Form.class, e.form, "form");
        return new Tin(
                e.id,
                Objects.requireNonNullElse(e.version, 0L),
                e.herb,
                herb.map(Herb::common).orElse(e.herb),
                e.form,
                e.filledOn,
                e.grams,
                left(e, taken),
                e.note,
                herb.map(h -> stands(e, h, form, today))
                        .orElseGet(() -> new Tin.Stands(
                                e.place == null ? Fields.code(Place.SHELF) : e.place,
                                List.of(),
                                null,
                                false,
                                false,
                                "",
                                null)));
    }

    /**
     * How long a tin keeps where it stands.
     *
     * @param mixedWithOlder whether that is no longer than the oldest herb that was mixed into it
     */
    private record Life(Place place, ShelfLife shelf, boolean mixedWithOlder) {

        static Life of(TinEntity e, Herb herb, Form form) {
            Place place = Fields.oneOf(Place.class, e.place, "place", Place.usual(herb, form));
            ShelfLife own = ShelfLife.of(herb, form, place, e.filledOn);
            boolean older = e.bestBy != null
                    && own.until().filter(until -> !e.bestBy.isBefore(until)).isEmpty();
            return new Life(
                    place, older ? new ShelfLife(Optional.of(e.bestBy), own.because(), own.source()) : own, older);
        }
    }

    private static Tin.Stands stands(TinEntity e, Herb herb, Form form, LocalDate today) {
        Life life = Life.of(e, herb, form);
        return new Tin.Stands(
                Fields.code(life.place),
                places(herb, form),
                life.shelf.until().orElse(null),
                life.shelf.over(today),
                life.shelf.going(e.filledOn, today),
                life.mixedWithOlder
                        ? HouseWords.words().sentence("mix.as-old-as-its-herbs", Map.of())
                        : HouseWords.words().say(life.shelf),
                life.mixedWithOlder ? null : life.shelf.source());
    }
}
