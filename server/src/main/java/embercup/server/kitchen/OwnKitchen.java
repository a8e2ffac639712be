package embercup.server.kitchen;

import jakarta.persistence.EntityManagerFactory;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.util.UUID;
import org.hibernate.SessionFactory;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * The place and one burner of it in one prepared statement on Hibernate's own connection, without a transaction and without
 * entities: every plan asks it, and through entities it cost more than the planning, as a query of objects a sixth of it.
 */
@Component
class OwnKitchen {

    /** The first parameter is the burner wanted; without one it is the smallest. */
    private static final String PLACE = """
            select k.altitude_m, k.room_c, k.tap_c, k.kettle_w, k.measures, k.liang_g, k.schools,
                   b.id, b.name, b.low_w, b.medium_w, b.high_w, (select count(*) from own_herb)
            from kitchen k left join burner b
              on b.id = coalesce(?::uuid, (select x.id from burner x order by x.high_w, x.id limit 1))
            where k.id = 1""";

    private final SessionFactory sessions;

    OwnKitchen(EntityManagerFactory factory) {
        this.sessions = factory.unwrap(SessionFactory.class);
    }

    /** Power in W, temperature in °C, altitude in m; the burner is missing when there is none such; how many herbs are the cook's own. */
    record Row(
            double altitudeM,
            double roomC,
            double tapC,
            double kettleW,
            String measures,
            double liangG,
            String schools,
            @Nullable UUID burnerId,
            @Nullable String burnerName,
            @Nullable Double lowW,
            @Nullable Double mediumW,
            @Nullable Double highW,
            long ownHerbs) {}

    /** With the given burner, or with the smallest. */
    Row read(@Nullable UUID burnerId) {
        return sessions.fromStatelessSession(session -> session.doReturningWork(on -> read(on, burnerId)));
    }

    private static Row read(Connection on, @Nullable UUID burnerId) throws SQLException {
        try (PreparedStatement question = on.prepareStatement(PLACE)) {
            question.setObject(1, burnerId, Types.OTHER);
            try (ResultSet row = question.executeQuery()) {
                if (!row.next()) {
                    throw new SQLException("the household has no kitchen");
                }
                return new Row(
                        row.getDouble(1),
                        row.getDouble(2),
                        row.getDouble(3),
                        row.getDouble(4),
                        row.getString(5),
                        row.getDouble(6),
                        row.getString(7),
                        row.getObject(8, UUID.class),
                        row.getString(9),
                        row.getObject(10, Double.class),
                        row.getObject(11, Double.class),
                        row.getObject(12, Double.class),
                        row.getLong(13));
            }
        }
    }
}
