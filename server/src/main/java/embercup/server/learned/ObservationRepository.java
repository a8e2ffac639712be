package embercup.server.learned;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface ObservationRepository extends JpaRepository<ObservationEntity, UUID> {

    List<ObservationEntity> findAllByBurnerIdAndVesselIdAndAtAfterOrderByAtAscIdAsc(
            UUID burnerId, UUID vesselId, Instant since);

    void deleteAllByBrewId(UUID brewId);

    /** A burner and a vessel that were measured together. */
    record Pair(UUID burnerId, UUID vesselId) {}

    @Query("""
            select distinct new embercup.server.learned.ObservationRepository$Pair(o.burnerId, o.vesselId)
            from ObservationEntity o order by o.burnerId, o.vesselId
            """)
    List<Pair> pairs();
}
