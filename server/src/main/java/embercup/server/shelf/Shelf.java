package embercup.server.shelf;

import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.workings.InvalidInput;
import embercup.server.herbs.Herbary;
import embercup.server.platform.Fields;
import embercup.server.platform.Ids;
import embercup.server.platform.Refusal;
import embercup.server.shelf.Tin.TinDraft;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The shelf: one tin for a herb and form. */
@Service
public class Shelf {

    /** A fresh herb keeps about a week (common practice, no source), days. */
    private static final int FRESH_DAYS = 7;

    private final TinRepository repository;
    private final Herbary herbary;
    private final Clock clock;

    Shelf(TinRepository repository, Herbary herbary, Clock clock) {
        this.repository = repository;
        this.herbary = herbary;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<Tin> all() {
        return repository.findAllByOrderByHerb().stream().map(this::tin).toList();
    }

    /** Of these herbs, those of which no tin stands on the shelf. */
    @Transactional(readOnly = true)
    public List<String> without(List<String> herbs) {
        Set<String> there =
                repository.findAllByOrderByHerb().stream().map(t -> t.herb).collect(Collectors.toSet());
        return herbs.stream().filter(h -> !there.contains(h)).toList();
    }

    /** A second tin of the same herb and form is the first one filled again. */
    @Transactional
    public Tin put(TinDraft draft) {
        String herb = Fields.text(draft.herb(), "herb", 80);
        Form form = Fields.oneOf(Form.class, draft.form(), "form", Form.DRIED);
        TinEntity e = repository.findByHerbAndForm(herb, Fields.code(form)).orElseGet(() -> {
            TinEntity added = new TinEntity();
            added.id = Ids.next(clock.millis());
            return added;
        });
        return write(e, draft, herb, form);
    }

    /** @throws Refusal 409 with the tin as kept when the version is not the newest */
    @Transactional
    public Tin change(UUID id, TinDraft draft) {
        TinEntity e = entity(id);
        Refusal.unlessNewest(draft.version(), e.version, "tin", () -> tin(e));
        Form form = Fields.oneOf(Form.class, draft.form(), "form", Form.DRIED);
        return write(e, draft, Fields.text(draft.herb(), "herb", 80), form);
    }

    @Transactional
    public void remove(UUID id) {
        repository.delete(entity(id));
    }

    private TinEntity entity(UUID id) {
        return repository.findById(id).orElseThrow(() -> Refusal.notFound("tin", id));
    }

    private Tin write(TinEntity e, TinDraft draft, String herb, Form form) {
        herbary.materia().herb(herb, "herb");
        LocalDate filled = draft.filledOn() == null ? today() : draft.filledOn();
        if (filled.isAfter(today()) || filled.isBefore(today().minusYears(20))) {
            throw InvalidInput.of("filledOn", filled, "a day of the last twenty years, not one to come");
        }
        if (draft.grams() != null) {
            InvalidInput.Check check = new InvalidInput.Check();
            check.range("grams", draft.grams(), 0, 100_000, "g");
            check.throwIfAny();
        }
        e.herb = herb;
        e.form = Fields.code(form);
        e.filledOn = filled;
        e.grams = draft.grams();
        e.note = Fields.textOrEmpty(draft.note(), "note", 200);
        return tin(repository.saveAndFlush(e));
    }

    private LocalDate today() {
        return LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
    }

    private Tin tin(TinEntity e) {
        var herb = herbary.materia().find(e.herb);
        LocalDate best = e.form.equals("fresh")
                ? e.filledOn.plusDays(FRESH_DAYS)
                : herb.flatMap(Herb::keepsMonths)
                        .map(m -> e.filledOn.plusMonths(Math.round(m.value())))
                        .orElse(null);
        return new Tin(
                e.id,
                Objects.requireNonNullElse(e.version, 0L),
                e.herb,
                herb.map(Herb::common).orElse(e.herb),
                e.form,
                e.filledOn,
                e.grams,
                e.note,
                best,
                best != null && best.isBefore(today()));
    }
}
