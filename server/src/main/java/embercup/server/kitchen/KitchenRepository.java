package embercup.server.kitchen;

import embercup.server.kitchen.KitchenEntities.KitchenEntity;
import org.springframework.data.jpa.repository.JpaRepository;

interface KitchenRepository extends JpaRepository<KitchenEntity, Integer> {}
