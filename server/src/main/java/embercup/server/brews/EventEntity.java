package embercup.server.brews;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Generated;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.NullUnmarked;
import org.springframework.data.domain.Persistable;

/** A row is only ever inserted. */
@Entity
@Table(name = "brew_event")
@NullUnmarked
class EventEntity implements Persistable<UUID> {

    @Id
    UUID id;

    @Column(name = "brew_id")
    UUID brewId;

    @Generated
    @Column(insertable = false, updatable = false)
    Long position;

    Instant at;
    String kind;

    @JdbcTypeCode(SqlTypes.JSON)
    String data;

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return position == null;
    }
}
