package embercup.server.kitchen;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.jspecify.annotations.NullUnmarked;

/** The three tables of the kitchen. */
final class KitchenEntities {

    private KitchenEntities() {}

    @Entity(name = "Vessel")
    @Table(name = "vessel")
    @NullUnmarked
    static class VesselEntity {
        @Id
        UUID id;

        String name;
        String kind;

        @Column(name = "inner_diameter_cm")
        double innerDiameterCm;

        @Column(name = "height_cm")
        double heightCm;

        @Column(name = "brim_ml")
        double brimMl;

        String companions = "";

        @Version
        Long version;
    }

    @Entity(name = "Burner")
    @Table(name = "burner")
    @NullUnmarked
    static class BurnerEntity {
        @Id
        UUID id;

        String name;

        @Column(name = "low_w")
        double lowW;

        @Column(name = "medium_w")
        double mediumW;

        @Column(name = "high_w")
        double highW;

        @Version
        Long version;
    }

    /** One row. */
    @Entity(name = "Kitchen")
    @Table(name = "kitchen")
    @NullUnmarked
    static class KitchenEntity {
        @Id
        Integer id;

        @Column(name = "altitude_m")
        double altitudeM;

        @Column(name = "room_c")
        double roomC;

        @Column(name = "tap_c")
        double tapC;

        @Column(name = "kettle_w")
        double kettleW;

        String measures;

        @Column(name = "liang_g")
        double liangG;

        /** IANA name of the time zone; null until it is said. */
        String zone;

        String schools = "";

        String temperatures;
        String weights;
        String volumes;
        String lengths;
        String hours;
        String dates;

        @Version
        Long version;
    }
}
