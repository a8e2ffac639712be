package embercup.server.door;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface AuditRepository extends JpaRepository<AuditEntity, UUID> {

    List<AuditEntity> findTop100ByOrderByAtDescIdDesc();

    long countByWhatAndAddressAndAtBetween(String what, String address, Instant from, Instant to);

    long countByWhatAndAtBetween(String what, Instant from, Instant to);

    void deleteByAtBefore(Instant moment);
}
