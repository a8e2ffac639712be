package embercup.server.kitchen;

import embercup.core.measure.HouseUnits;
import embercup.core.measure.KitchenSystem;
import embercup.server.platform.Fields;
import embercup.server.platform.HouseUnitsSource;
import jakarta.persistence.EntityManagerFactory;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.hibernate.SessionFactory;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * What a plan asks of the household — the place, one burner, what is in the tins — in one prepared statement on Hibernate's own connection, without a transaction and without
 * entities: every plan asks it, and through entities it cost more than the planning, as a query of objects a sixth of it.
 */
@Component
class OwnKitchen implements HouseUnitsSource {

    /** The first parameter is the burner wanted; without one it is the smallest. */
    private static final String PLACE = """
            select k.altitude_m, k.room_c, k.tap_c, k.kettle_w, k.measures, k.liang_g, k.schools,
                   b.id, b.name, b.low_w, b.medium_w, b.high_w, (select count(*) from own_herb),
                   (select coalesce(string_agg(distinct herb, ' '), '') from shelf_tin),
                   (select coalesce(string_agg(
                        concat_ws(chr(31), v.name, v.kind, v.inner_diameter_cm, v.height_cm, v.brim_ml, v.companions), chr(30)
                        order by v.brim_ml, v.id), '') from vessel v),
                   k.temperatures, k.weights, k.volumes, k.lengths, k.hours, k.dates
            from kitchen k left join burner b
              on b.id = coalesce(?::uuid, (select x.id from burner x order by x.high_w, x.id limit 1))
            where k.id = 1""";

    private static final String UNITS =
            "select temperatures, weights, volumes, lengths, hours, dates, measures from kitchen where id = 1";

    private static final String ZONE = "select zone from kitchen where id = 1";

    private final SessionFactory sessions;

    OwnKitchen(EntityManagerFactory factory) {
        this.sessions = factory.unwrap(SessionFactory.class);
    }

    /**
     * @param burner missing when there is none such
     * @param ownHerbs how many herbs are the cook's own
     * @param vessels from small to large
     * @param inTins slugs of the herbs of which a tin stands on the shelf, with spaces between
     * @param units in which the answer will be said
     */
    record Row(
            Place place,
            @Nullable OwnBurner burner,
            long ownHerbs,
            String inTins,
            List<OwnVessel> vessels,
            HouseUnits units) {}

    /** A vessel of the household; cm and mL. */
    record OwnVessel(
            String name, String kind, double innerDiameterCm, double heightCm, double brimMl, String companions) {}

    /** Altitude in m, temperatures in °C, power in W. */
    record Place(
            double altitudeM,
            double roomC,
            double tapC,
            double kettleW,
            String measures,
            double liangG,
            String schools) {}

    /** Net power, W. */
    record OwnBurner(UUID id, String name, double lowW, double mediumW, double highW) {}

    /** With the given burner, or with the smallest. */
    Row read(@Nullable UUID burnerId) {
        return sessions.fromStatelessSession(session -> session.doReturningWork(on -> read(on, burnerId)));
    }

    /** Asked for every answer that says something, and as lean for it. */
    @Override
    public HouseUnits houseUnits() {
        return sessions.fromStatelessSession(session -> session.doReturningWork(OwnKitchen::units));
    }

    /** IANA name of the zone by whose midnight the days of the house go; null until it is said. Asked for every drinker's plan. */
    @Nullable
    String zone() {
        return sessions.fromStatelessSession(session -> session.doReturningWork(on -> {
            try (PreparedStatement question = on.prepareStatement(ZONE);
                    ResultSet row = question.executeQuery()) {
                return row.next() ? row.getString(1) : null;
            }
        }));
    }

    private static HouseUnits units(Connection on) throws SQLException {
        try (PreparedStatement question = on.prepareStatement(UNITS);
                ResultSet row = question.executeQuery()) {
            return row.next() ? units(row, 1, row.getString(7)) : HouseUnits.DEFAULT;
        }
    }

    /** @param from the first of their six columns */
    private static HouseUnits units(ResultSet row, int from, String measures) throws SQLException {
        return new UnitsOfHouse(
                        row.getString(from),
                        row.getString(from + 1),
                        row.getString(from + 2),
                        row.getString(from + 3),
                        row.getString(from + 4),
                        row.getString(from + 5))
                .read(HouseUnits.ofCore(Fields.oneOf(KitchenSystem.class, measures, "measures")));
    }

    /** Records and their fields are held apart by the control characters that are there for it. */
    private static List<OwnVessel> vessels(String all) {
        return all.isEmpty()
                ? List.of()
                : Stream.of(all.split("\u001e"))
                        .map(one -> one.split("\u001f"))
                        .map(f -> new OwnVessel(
                                f[0],
                                f[1],
                                Double.parseDouble(f[2]),
                                Double.parseDouble(f[3]),
                                Double.parseDouble(f[4]),
                                f.length > 5 ? f[5] : ""))
                        .toList();
    }

    private static Row read(Connection on, @Nullable UUID burnerId) throws SQLException {
        try (PreparedStatement question = on.prepareStatement(PLACE)) {
            question.setObject(1, burnerId, Types.OTHER);
            try (ResultSet row = question.executeQuery()) {
                if (!row.next()) {
                    throw new SQLException("the household has no kitchen");
                }
                Place place = new Place(
                        row.getDouble(1),
                        row.getDouble(2),
                        row.getDouble(3),
                        row.getDouble(4),
                        row.getString(5),
                        row.getDouble(6),
                        row.getString(7));
                UUID id = row.getObject(8, UUID.class);
                OwnBurner burner = id == null
                        ? null
                        : new OwnBurner(id, row.getString(9), row.getDouble(10), row.getDouble(11), row.getDouble(12));
                return new Row(
                        place,
                        burner,
                        row.getLong(13),
                        row.getString(14),
                        vessels(row.getString(15)),
                        units(row, 16, place.measures));
            }
        }
    }
}
