package embercup.server.notebook;

import java.util.UUID;
import org.springframework.data.domain.Pageable;
import org.springframework.data.domain.Slice;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface EntryRepository extends JpaRepository<EntryEntity, UUID> {

    Slice<EntryEntity> findAllByOrderByBrewedAtDesc(Pageable page);

    Slice<EntryEntity> findAllByRecipeIdOrderByBrewedAtDesc(UUID recipeId, Pageable page);

    @Query(value = """
                    select e.* from notebook_entry e
                    where e.search @@ websearch_to_tsquery('english', :words)
                    order by e.brewed_at desc
                    """, nativeQuery = true)
    Slice<EntryEntity> search(String words, Pageable page);
}
