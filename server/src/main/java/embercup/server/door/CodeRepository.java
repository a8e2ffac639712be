package embercup.server.door;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface CodeRepository extends JpaRepository<CodeEntity, UUID> {

    /** The code of a digest that still lives; taken for one writer, so that it lets in one device. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select c from CodeEntity c where c.digest = :digest and c.usedAt is null and c.expiresAt > :now")
    Optional<CodeEntity> living(String digest, Instant now);

    void deleteByExpiresAtBefore(Instant moment);
}
