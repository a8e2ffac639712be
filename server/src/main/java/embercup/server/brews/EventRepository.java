package embercup.server.brews;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface EventRepository extends JpaRepository<EventEntity, UUID> {

    List<EventEntity> findAllByBrewIdOrderByPosition(UUID brewId);

    List<EventEntity> findAllByBrewIdInOrderByPosition(Collection<UUID> brewIds);

    /** How many events a brew has. */
    interface Happened {
        UUID getBrewId();

        long getEvents();
    }

    @Query(
            "select e.brewId as brewId, count(e) as events from EventEntity e where e.brewId in :brewIds group by e.brewId order by e.brewId")
    List<Happened> happened(Collection<UUID> brewIds);

    boolean existsByBrewIdAndKind(UUID brewId, String kind);

    /** What one person drank of a brew was drunk by another. */
    @Modifying
    @Query(value = """
            update brew_event set data = jsonb_set(data, '{drinkerId}', to_jsonb(cast(:to as text)))
            where brew_id = :brew and data ->> 'drinkerId' = :from
            """, nativeQuery = true)
    void passOn(UUID brew, String from, String to);
}
