package embercup.server.notebook;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Pageable;
import org.springframework.data.domain.Slice;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface EntryRepository extends JpaRepository<EntryEntity, UUID> {

    Slice<EntryEntity> findAllByOrderByBrewedAtDescBrewIdDesc(Pageable page);

    Stream<EntryEntity> streamAllByOrderByBrewedAtDescBrewIdDesc();

    @Modifying
    @Query("update EntryEntity e set e.drinkerName = '', e.drinkerId = null where e.drinkerId = :drinkerId")
    void forget(UUID drinkerId);

    Slice<EntryEntity> findAllByRecipeIdOrderByBrewedAtDescBrewIdDesc(UUID recipeId, Pageable page);

    @Query("""
            select e from EntryEntity e
            where (:recipeId is null or e.recipeId = :recipeId)
              and (:drinker = '' or e.drinkerName = :drinker)
              and (:liking = 0 or e.liking >= :liking)
            order by e.brewedAt desc, e.brewId desc
            """)
    Slice<EntryEntity> filtered(@Nullable UUID recipeId, String drinker, int liking, Pageable page);

    @Query("""
            select e from EntryEntity e
            where e.recipeId = :recipeId and e.drinkerId = :drinkerId and e.felt is not null and e.brewedAt > :since
            order by e.brewedAt desc, e.brewId desc limit 60
            """)
    List<EntryEntity> felt(UUID recipeId, UUID drinkerId, Instant since);

    /** Hits among the newest entries only: frequent words fill their page from these in a few milliseconds. */
    @Query(value = """
                    select r.* from (select e.* from notebook_entry e order by e.brewed_at desc, e.brew_id desc limit 6000) r
                    where r.search @@ websearch_to_tsquery('english', :words)
                    order by r.brewed_at desc, r.brew_id desc limit :most offset :skip
                    """, nativeQuery = true)
    List<EntryEntity> searchNewest(String words, int most, int skip);

    /**
     * Hits of rare words through the index of words. The sum in the order keeps the planner from walking the whole notebook
     * by date when it takes two words for more frequent together than they are.
     */
    @Query(value = """
                    select e.* from notebook_entry e
                    where e.search @@ websearch_to_tsquery('english', :words)
                    order by e.brewed_at + interval '0 s' desc, e.brew_id desc limit :most offset :skip
                    """, nativeQuery = true)
    List<EntryEntity> searchAll(String words, int most, int skip);
}
