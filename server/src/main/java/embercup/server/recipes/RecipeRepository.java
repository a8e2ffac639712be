package embercup.server.recipes;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RecipeRepository extends JpaRepository<RecipeEntity, UUID> {

    List<RecipeEntity> findAllByOrderByCreatedAt();
}
