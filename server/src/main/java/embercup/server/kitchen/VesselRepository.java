package embercup.server.kitchen;

import embercup.server.kitchen.KitchenEntities.VesselEntity;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface VesselRepository extends JpaRepository<VesselEntity, UUID> {
    List<VesselEntity> findAllByOrderByBrimMlAscIdAsc();
}
