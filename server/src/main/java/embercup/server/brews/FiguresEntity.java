package embercup.server.brews;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.jspecify.annotations.NullUnmarked;
import org.springframework.data.domain.Persistable;

/** Why the numbers of a brew's plan are what they are; written once, read when somebody asks. */
@Entity
@Table(name = "brew_figures")
@NullUnmarked
class FiguresEntity implements Persistable<UUID> {

    @Id
    @Column(name = "brew_id")
    UUID brewId;

    String document;

    @Override
    public UUID getId() {
        return brewId;
    }

    @Override
    public boolean isNew() {
        return true;
    }
}
