package embercup.server.kitchen;

import embercup.server.kitchen.KitchenEntities.BurnerEntity;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface BurnerRepository extends JpaRepository<BurnerEntity, UUID> {
    List<BurnerEntity> findAllByOrderByHighWAscIdAsc();
}
