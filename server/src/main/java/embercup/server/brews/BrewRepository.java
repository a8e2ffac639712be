package embercup.server.brews;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface BrewRepository extends JpaRepository<BrewEntity, UUID> {

    /** Takes the row for one writer: two devices on one brew write one after the other. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select b from BrewEntity b where b.id = :id")
    Optional<BrewEntity> forWriting(UUID id);

    List<BrewEntity> findAllByPhaseInOrderByCreatedAt(List<String> phases);

    @Query("""
            select b from BrewEntity b
            where b.startedAt >= :from and b.startedAt < :to and b.phase <> 'abandoned'
            and b.clockReal is null
            order by b.startedAt
            """)
    List<BrewEntity> startedBetween(Instant from, Instant to);

    /** Names of the brews that wait or burn with a herb. @param herbs a list of its slug, as JSON */
    @Query(
            value =
                    "select b.name from brew b where b.phase in ('planned', 'running') and b.herbs @> cast(:herbs as jsonb)"
                            + " order by b.name",
            nativeQuery = true)
    List<String> openWith(String herbs);

    /**
     * When somebody drank which herbs.
     *
     * @param loads of the cups that the plan counts for its day
     * @param drunk the share of them that was poured; missing while nothing was
     */
    record Drunk(Instant startedAt, String loads, @Nullable Double drunk, String herbs) {}

    /** A simulated brew is drunk by nobody. */
    @Query("""
            select new embercup.server.brews.BrewRepository$Drunk(b.startedAt, b.loads, b.drunk, b.herbs) from BrewEntity b
            where b.drinkerId = :drinkerId and b.startedAt >= :from and b.startedAt < :to and b.phase <> 'abandoned'
            and b.clockReal is null
            """)
    List<Drunk> drunkBetween(UUID drinkerId, Instant from, Instant to);
}
