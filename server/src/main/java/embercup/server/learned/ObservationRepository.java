package embercup.server.learned;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface ObservationRepository extends JpaRepository<ObservationEntity, UUID> {

    List<ObservationEntity> findAllByBurnerAndVesselAndAtAfter(String burner, String vessel, Instant since);

    void deleteAllByBrewId(UUID brewId);

    /** A burner and a vessel that were measured together. */
    record Pair(String burner, String vessel) {}

    @Query("""
            select distinct new embercup.server.learned.ObservationRepository$Pair(o.burner, o.vessel)
            from ObservationEntity o order by o.burner, o.vessel
            """)
    List<Pair> pairs();
}
