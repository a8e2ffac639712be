package embercup.server.door;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface DeviceRepository extends JpaRepository<DeviceEntity, UUID> {

    List<DeviceEntity> findAllByOrderByPairedAtAscIdAsc();
}
