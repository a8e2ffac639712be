package embercup.server.people;

import embercup.core.dose.ChildDose;
import embercup.core.dose.Drinker;
import embercup.core.dose.Strength;
import embercup.core.materia.Condition;
import embercup.core.plan.Taking;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Length;
import embercup.core.workings.Limit;
import embercup.core.workings.Wanted;
import embercup.core.workings.Wanted.Need;
import embercup.server.herbs.HouseMateria;
import embercup.server.people.Person.PersonRequest;
import embercup.server.platform.Fields;
import embercup.server.platform.Ids;
import embercup.server.platform.RefusedException;
import java.time.Clock;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The people of the household. */
@Service
public class People {

    private static final TypeReference<List<String>> TEXTS = new TypeReference<>() {};

    private final PersonRepository repository;
    private final JsonMapper json;
    private final HouseMateria houseMateria;
    private final ObjectProvider<PersonTraces> traces;
    private final Clock clock;

    People(
            PersonRepository repository,
            JsonMapper json,
            HouseMateria houseMateria,
            ObjectProvider<PersonTraces> traces,
            Clock clock) {
        this.traces = traces;
        this.repository = repository;
        this.json = json;
        this.houseMateria = houseMateria;
        this.clock = clock;
    }

    /** The brewer first, then by name. */
    @Transactional(readOnly = true)
    public List<Person> all() {
        return repository.findAllByOrderByBrewerDescNameAscIdAsc().stream()
                .map(this::person)
                .toList();
    }

    /** @throws RefusedException 404 when there is none */
    @Transactional(readOnly = true)
    public Person get(UUID id) {
        return person(entity(id));
    }

    /** The same; empty when there is none any more. */
    @Transactional(readOnly = true)
    public Optional<Person> find(UUID id) {
        return repository.findById(id).map(this::person);
    }

    @Transactional
    public Person add(PersonRequest draft) {
        PersonEntity e = new PersonEntity();
        e.id = Ids.next(clock.millis());
        write(e, draft);
        return person(repository.saveAndFlush(e));
    }

    /** @throws RefusedException 409 with the person as kept when the version is not the newest */
    @Transactional
    public Person change(UUID id, PersonRequest draft) {
        PersonEntity e = entity(id);
        RefusedException.unlessNewest(draft.version(), e.version, "person", () -> person(e));
        write(e, draft);
        return person(repository.saveAndFlush(e));
    }

    /**
     * Takes somebody off the list.
     *
     * @param forget whether her name and conditions leave old brews and notes too
     * @throws RefusedException 409 when she is to be forgotten and a brew of hers is not over
     */
    @Transactional
    public void remove(UUID id, boolean forget) {
        PersonEntity e = entity(id);
        if (forget) {
            traces.forEach(t -> t.forget(id, e.name));
        }
        repository.delete(e);
    }

    /** The person as the core sees a drinker; an allergy to a herb that is no longer in the house stays hers. */
    public Drinker drinker(Person person) {
        Drinker drinker = drinker(
                person.ageYears(), person.weightKg(), person.conditions(), person.trimester(), List.of(), "drinker");
        return new Drinker(
                drinker.ageYears(),
                drinker.weightKg(),
                drinker.conditions(),
                drinker.trimester(),
                Set.copyOf(person.allergies()),
                Set.copyOf(person.dislikes()));
    }

    /** Somebody of the household, or an adult of whom nothing is known. */
    @Transactional(readOnly = true)
    public Drinker drinkerOrAdult(@Nullable UUID id) {
        return id == null ? Drinker.ADULT : drinker(get(id));
    }

    /** @throws InvalidInputException for unknown conditions or herbs */
    public Drinker drinker(
            double ageYears,
            @Nullable Double weightKg,
            @Nullable List<String> conditions,
            @Nullable Integer trimester,
            @Nullable List<String> allergies,
            String path) {
        InvalidInputException.Check check = new InvalidInputException.Check();
        Set<Condition> known = new LinkedHashSet<>();
        List<String> codes = conditions == null ? List.of() : conditions;
        for (int i = 0; i < codes.size(); i++) {
            var condition = Condition.ofCode(codes.get(i));
            if (check.require(
                    condition.isPresent(),
                    path + ".conditions[" + i + "]",
                    codes.get(i),
                    new Wanted.OneOf(Condition.codes()))) {
                condition.ifPresent(known::add);
            }
        }
        List<String> herbs = allergies == null ? List.of() : allergies;
        known(check, herbs, path + ".allergies");
        check.range(path + ".ageYears", ageYears, Limit.AGE_YEARS);
        if (weightKg != null) {
            check.range(path + ".weightKg", weightKg, Limit.WEIGHT_KG);
        }
        if (trimester != null) {
            check.range(path + ".trimester", trimester, Limit.TRIMESTER);
            check.require(
                    known.contains(Condition.PREGNANT), path + ".trimester", trimester, new Wanted.OnlyIfPregnant());
        }
        check.throwIfAny();
        return new Drinker(
                ageYears,
                weightKg == null ? OptionalDouble.empty() : OptionalDouble.of(weightKg),
                known,
                trimester == null ? OptionalInt.empty() : OptionalInt.of(trimester),
                Set.copyOf(herbs),
                Set.of());
    }

    private void known(InvalidInputException.Check check, List<String> herbs, String field) {
        for (int i = 0; i < herbs.size(); i++) {
            houseMateria.unknown(herbs.get(i), field + "[" + i + "]", check);
        }
    }

    private PersonEntity entity(UUID id) {
        return repository.findById(id).orElseThrow(() -> RefusedException.notFound("person", id));
    }

    private void write(PersonEntity e, PersonRequest draft) {
        e.name = Fields.text(draft.name(), "name", Length.SHORT_NAME);
        e.ageYears = Fields.need(draft.ageYears(), "ageYears", Need.AGE);
        e.weightKg = draft.weightKg();
        List<String> conditions = draft.conditions() == null ? List.of() : draft.conditions();
        List<String> allergies = draft.allergies() == null ? List.of() : draft.allergies();
        e.trimester = conditions.contains(Condition.PREGNANT.code()) ? draft.trimester() : null;
        drinker(e.ageYears, e.weightKg, conditions, e.trimester, allergies, "person");
        List<String> dislikes = draft.dislikes() == null ? List.of() : draft.dislikes();
        InvalidInputException.Check check = new InvalidInputException.Check();
        known(check, dislikes, "person.dislikes");
        check.throwIfAny();
        e.usualStrength =
                Fields.code(Fields.oneOf(Strength.class, draft.usualStrength(), "usualStrength", Strength.STANDARD));
        e.dislikes = json.writeValueAsString(dislikes);
        e.conditions = json.writeValueAsString(conditions);
        e.allergies = json.writeValueAsString(allergies);
        e.brewer = Boolean.TRUE.equals(draft.brewer());
    }

    private Person person(PersonEntity e) {
        List<String> conditions = json.readValue(e.conditions, TEXTS);
        Drinker drinker = drinker(e.ageYears, e.weightKg, conditions, e.trimester, List.of(), "person");
        return new Person(
                e.id,
                Objects.requireNonNullElse(e.version, 0L),
                e.name,
                e.ageYears,
                e.weightKg,
                conditions,
                e.trimester,
                json.readValue(e.allergies, TEXTS),
                e.usualStrength,
                json.readValue(e.dislikes, TEXTS),
                e.brewer,
                ChildDose.share(drinker).value() > 0 ? Taking.usualServing(drinker) : 0);
    }
}
