package embercup.server.recipes;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface VersionRepository extends JpaRepository<VersionEntity, UUID> {
    List<VersionEntity> findAllByRecipeIdOrderByVersionDesc(UUID recipeId);
}
