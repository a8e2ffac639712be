package embercup.server.kitchen;

import embercup.server.kitchen.KitchenEntities.BurnerEntity;
import embercup.server.kitchen.KitchenEntities.KitchenEntity;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface KitchenRepository extends JpaRepository<KitchenEntity, Integer> {

    record PlaceAndBurner(KitchenEntity place, @Nullable BurnerEntity burner) {}

    /** The place and one burner in one question, which every plan asks: the given one, or the smallest. */
    @Query("""
            select new embercup.server.kitchen.KitchenRepository$PlaceAndBurner(k, b)
            from Kitchen k left join Burner b on b.id = coalesce(:burnerId,
                (select min(x.id) from Burner x where x.highW = (select min(y.highW) from Burner y)))
            where k.id = 1
            """)
    PlaceAndBurner withBurner(@Nullable UUID burnerId);
}
