package embercup.server.kitchen;

import jakarta.persistence.EntityManagerFactory;
import java.util.UUID;
import org.hibernate.SessionFactory;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * The place and one burner of it in one question to the database, outside a transaction and without entities: every plan
 * asks it, and through entities it cost more than the planning.
 */
@Component
class OwnKitchen {

    private static final String PLACE = """
            select new embercup.server.kitchen.OwnKitchen$Row(k.altitudeM, k.roomC, k.tapC, k.kettleW, k.measures, k.liangG, k.schools,
                b.id, b.name, b.lowW, b.mediumW, b.highW, (select count(h) from OwnHerb h))
            from Kitchen k left join Burner b on b.id =""";

    private static final String GIVEN = PLACE + " :burner where k.id = 1";
    private static final String SMALLEST = PLACE + """
             (select min(x.id) from Burner x where x.highW = (select min(y.highW) from Burner y)) where k.id = 1""";

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
        return sessions.fromStatelessSession(session -> {
            var query = session.createSelectionQuery(burnerId == null ? SMALLEST : GIVEN, Row.class);
            return burnerId == null
                    ? query.getSingleResult()
                    : query.setParameter("burner", burnerId).getSingleResult();
        });
    }
}
