package embercup.server.door;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface AuditRepository extends JpaRepository<AuditEntity, UUID> {

    List<AuditEntity> findTop100ByOrderByAtDescIdDesc();

    long countByWhatAndAddressAndAtAfter(String what, String address, Instant moment);

    long countByWhatAndAtAfter(String what, Instant moment);
}
