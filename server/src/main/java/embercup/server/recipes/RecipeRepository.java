package embercup.server.recipes;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface RecipeRepository extends JpaRepository<RecipeEntity, UUID> {

    List<RecipeEntity> findAllByOrderByCreatedAtAscIdAsc();

    /** Names of the recipes with a herb. */
    @Query(
            value =
                    "select r.name from recipe r where r.document -> 'additions' @> cast(:herb as jsonb) order by r.name, r.id",
            nativeQuery = true)
    List<String> namesWith(String herb);
}
