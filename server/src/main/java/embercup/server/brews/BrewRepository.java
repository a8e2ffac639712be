package embercup.server.brews;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Pageable;
import org.springframework.data.domain.Slice;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface BrewRepository extends JpaRepository<BrewEntity, UUID> {

    /** Takes the row for one writer: two devices on one brew write one after the other. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select b from BrewEntity b where b.id = :id")
    Optional<BrewEntity> forWriting(UUID id);

    /** Its phase alone: a row is as long as its plan. */
    @Query("select b.phase from BrewEntity b where b.id = :id")
    Optional<String> phase(UUID id);

    /** Waits until nobody else in the house has that word, and has it until the transaction is over. */
    @Query(value = "select 1 from (select pg_advisory_xact_lock(hashtextextended(:word, 0))) taken", nativeQuery = true)
    int alone(String word);

    /** Every brew that is or was hers, or that she drank of. */
    @Query(
            value = "select * from brew b where " + DrinkersDays.HERS + " order by b.created_at, b.id",
            nativeQuery = true)
    List<BrewEntity> ofPerson(UUID person);

    boolean existsByPhase(String phase);

    Slice<BrewEntity> findAllByOrderByIdAsc(Pageable page);

    List<BrewEntity> findAllByPhaseInOrderByCreatedAtAscIdAsc(List<String> phases);

    /** What was begun in a span and is done; a simulated brew is drunk by nobody. */
    @Query("""
            select b from BrewEntity b
            where b.startedAt >= :from and b.startedAt < :to and b.phase = 'finished' and b.clockReal is null
            order by b.startedAt, b.id
            """)
    List<BrewEntity> doneOf(Instant from, Instant to);

    /**
     * The rest of a pot in a jar.
     *
     * @param keptMl what was put into it
     * @param text how long it keeps, as it was told with the plan
     */
    record InJar(
            UUID id,
            @Nullable UUID recipeId,
            String name,
            @Nullable UUID drinkerId,
            String drinkerName,
            Instant keptAt,
            double keptMl,
            double leftMl,
            double cupMl,
            Instant madeAt,
            @Nullable Instant goodUntil,
            @Nullable Instant drinkBy,
            @Nullable String text,
            @Nullable String source,
            String note,
            @Nullable Instant cupSince) {}

    /**
     * Jars with something in them, what is to be drunk first before the others. A simulated one holds nothing. Each plan is opened
     * once: that is most of the time it takes.
     */
    @Query(value = """
            select b.id, b.recipe_id, b.name, b.drinker_id, b.drinker_name, b.kept_at, b.kept_ml, b.left_ml,
            told."cupMl", b.made_at, b.good_until, b.drink_by, told.keeps ->> 'text', told.keeps ->> 'source',
            b.jar_note, b.cup_since
            from brew b cross join lateral jsonb_to_record(b.plan) told("cupMl" double precision, keeps jsonb)
            where b.kept_at is not null and b.clock_real is null
                and b.left_ml >= case when b.good_until is null then :leastDrops else :least end
            order by b.drink_by nulls last, b.kept_at, b.id
            """, nativeQuery = true)
    List<InJar> inJars(double least, double leastDrops);

    List<BrewEntity> findAllByCupSinceNotNullOrderByCupSinceAscIdAsc();

    List<BrewEntity> findAllByMarcAtNotNullOrderByMarcAtAscIdAsc();

    /** Ids of what waits or burns, and of what was given up of late: a list of whole brews would be read for nothing. */
    @Query("""
            select b.id from BrewEntity b
            where b.phase in ('planned', 'running') or (b.phase = 'abandoned' and b.createdAt >= :since)
            order by b.createdAt, b.id
            """)
    List<UUID> openOrGivenUpSince(Instant since);

    /** Names of the brews that wait or burn with a herb. @param herbs a list of its slug, as JSON */
    @Query(
            value =
                    "select b.name from brew b where b.phase in ('planned', 'running') and b.herbs @> cast(:herbs as jsonb)"
                            + " order by b.name, b.id",
            nativeQuery = true)
    List<String> openWith(String herbs);

    /**
     * A pot that somebody drinks of.
     *
     * @param days for how many it is
     * @param loads of a day's cups of its drinker
     * @param pours what was poured and when
     * @param sharers who drinks of it beside its drinker
     */
    record Drunk(
            String name,
            @Nullable UUID drinkerId,
            Instant startedAt,
            int days,
            String loads,
            String pours,
            String sharers,
            String herbs) {}

    /** Every pot of a drinker up to a moment, hers or shared. A simulated brew is drunk by nobody. */
    @Query(value = """
            select b.name, b.drinker_id, b.started_at, b.days, b.loads::text, b.pours::text, b.sharers::text, b.herbs::text
            from brew b
            where b.started_at >= :from and b.started_at < :to and b.phase <> 'abandoned' and b.clock_real is null
            and
            """ + DrinkersDays.HERS + "order by b.started_at, b.id", nativeQuery = true)
    List<Drunk> drunkBetween(UUID person, Instant from, Instant to);

    /**
     * A brew of a recipe by what was poured of it.
     *
     * @param leftMl missing until something was made
     * @param keptAt when its rest was put into a jar
     * @param drinkBy until when that may be drunk
     */
    record OfRecipe(
            UUID id,
            String name,
            @Nullable UUID drinkerId,
            Instant startedAt,
            String pours,
            String sharers,
            @Nullable Double leftMl,
            double cupMl,
            @Nullable Instant keptAt,
            @Nullable Instant drinkBy,
            String phase) {}

    /** What was begun of a recipe in a span and was not given up; a simulated brew is drunk by nobody. */
    @Query(value = """
            select b.id, b.name, b.drinker_id, b.started_at, b.pours::text, b.sharers::text, b.left_ml,
            cast(b.plan ->> 'cupMl' as double precision), b.kept_at, b.drink_by, b.phase
            from brew b
            where b.recipe_id = :recipe and b.started_at >= :from and b.started_at < :to
            and b.phase in ('running', 'finished') and b.clock_real is null
            order by b.started_at, b.id
            """, nativeQuery = true)
    List<OfRecipe> ofRecipe(UUID recipe, Instant from, Instant to);
}
