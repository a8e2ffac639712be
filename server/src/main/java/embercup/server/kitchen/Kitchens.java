package embercup.server.kitchen;

import embercup.core.brew.StoveCalibration;
import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Tradition;
import embercup.core.measure.HouseUnits;
import embercup.core.measure.KitchenSystem;
import embercup.core.measure.MeasureCustom;
import embercup.core.recipe.Companion;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Length;
import embercup.core.workings.Limit;
import embercup.core.workings.Wanted;
import embercup.core.workings.Wanted.Kind;
import embercup.core.workings.Wanted.Need;
import embercup.server.kitchen.KitchenEntities.BurnerEntity;
import embercup.server.kitchen.KitchenEntities.KitchenEntity;
import embercup.server.kitchen.KitchenEntities.VesselEntity;
import embercup.server.kitchen.KitchenResponse.BurnerRequest;
import embercup.server.kitchen.KitchenResponse.BurnerResponse;
import embercup.server.kitchen.KitchenResponse.CalibrationRequest;
import embercup.server.kitchen.KitchenResponse.CalibrationResponse;
import embercup.server.kitchen.KitchenResponse.PlaceRequest;
import embercup.server.kitchen.KitchenResponse.VesselRequest;
import embercup.server.kitchen.KitchenResponse.VesselResponse;
import embercup.server.platform.Fields;
import embercup.server.platform.HouseWords;
import embercup.server.platform.Ids;
import embercup.server.platform.RefusedException;
import embercup.server.platform.SchoolsFromRequest;
import embercup.server.platform.WorkingsLine;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The one kitchen: place, vessels, burners. */
@Service
public class Kitchens {

    private final KitchenRepository kitchens;
    private final VesselRepository vessels;
    private final BurnerRepository burners;
    private final OwnKitchen ownKitchen;
    private final Clock clock;

    Kitchens(
            KitchenRepository kitchens,
            VesselRepository vessels,
            BurnerRepository burners,
            OwnKitchen ownKitchen,
            Clock clock) {
        this.kitchens = kitchens;
        this.vessels = vessels;
        this.burners = burners;
        this.ownKitchen = ownKitchen;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public KitchenResponse sheet() {
        KitchenEntity k = place();
        Kitchen core = kitchen(k, Optional.empty(), Burner.SMALL);
        HouseUnits units = units(k);
        return new KitchenResponse(
                version(k.version),
                k.altitudeM,
                k.roomC,
                k.tapC,
                k.kettleW,
                k.measures,
                k.liangG,
                core.boilingC(),
                k.zone,
                UnitsOfHouse.of(units),
                UnitsOfHouse.Scales.of(units),
                vessels.findAllByOrderByBrimMlAscIdAsc().stream()
                        .map(Kitchens::sheet)
                        .toList(),
                burners.findAllByOrderByHighWAscIdAsc().stream()
                        .map(Kitchens::sheet)
                        .toList());
    }

    /** By which midnight the days of the house go. */
    public ZoneId zone() {
        String said = ownKitchen.zone();
        return said == null ? ZoneId.systemDefault() : ZoneId.of(said);
    }

    /** The day of the house at a moment. */
    public LocalDate day(Instant at) {
        return LocalDate.ofInstant(at, zone());
    }

    private static String zone(String said) {
        if (!ZoneId.getAvailableZoneIds().contains(said)) {
            throw InvalidInputException.of("zone", said, new Wanted.OfKind(Kind.ZONE));
        }
        return said;
    }

    /** The household's vessels, the smallest first. */
    @Transactional(readOnly = true)
    public Map<UUID, Vessel> vesselsById() {
        Map<UUID, Vessel> all = new LinkedHashMap<>();
        vessels.findAllByOrderByBrimMlAscIdAsc().forEach(v -> all.put(v.id, vessel(v)));
        return all;
    }

    /** The household's burners. */
    @Transactional(readOnly = true)
    public Map<UUID, Burner> burnersById() {
        Map<UUID, Burner> all = new LinkedHashMap<>();
        burners.findAllByOrderByHighWAscIdAsc().forEach(b -> all.put(b.id, burner(b)));
        return all;
    }

    /**
     * The kitchen for a plan, and how this household reads its measures.
     *
     * @param burnerId the burner it is; missing when the household has none
     * @param ownHerbs how many herbs are the cook's own or have her own weights
     * @param inTins slugs of the herbs of which a tin stands on the shelf
     */
    public record Own(
            Kitchen kitchen,
            @Nullable UUID burnerId,
            MeasureCustom custom,
            long ownHerbs,
            Map<String, String> schools,
            Set<String> inTins) {}

    /** This place with a vessel and a burner of the household, or its smallest burner, else the standard one. */
    public Own own(@Nullable UUID vesselId, @Nullable UUID burnerId) {
        OwnKitchen.Row row = ownKitchen.read(burnerId);
        HouseWords.in(row.units());
        OwnKitchen.OwnBurner own = row.burner();
        if (burnerId != null && own == null) {
            throw RefusedException.notFound("burner", burnerId);
        }
        Optional<Vessel> vessel = vesselId == null ? Optional.empty() : Optional.of(vessel(vesselEntity(vesselId)));
        Burner burner = own == null ? Burner.SMALL : new Burner(own.name(), own.lowW(), own.mediumW(), own.highW());
        OwnKitchen.Place here = row.place();
        return new Own(
                new Kitchen(here.altitudeM(), here.roomC(), here.tapC(), vessel, burner, here.kettleW())
                        .having(row.vessels().stream()
                                .map(v -> Vessel.of(
                                                v.name(),
                                                Fields.oneOf(Vessel.Kind.class, v.kind(), "vessel.kind"),
                                                v.innerDiameterCm(),
                                                v.heightCm(),
                                                v.brimMl())
                                        .with(companions(v.companions())))
                                .toList()),
                own == null ? null : own.id(),
                new MeasureCustom(Fields.oneOf(KitchenSystem.class, here.measures(), "measures"), here.liangG()),
                row.ownHerbs(),
                schools(here.schools()),
                Set.copyOf(codes(row.inTins())));
    }

    private static List<String> codes(String kept) {
        return kept.isEmpty() ? List.of() : List.of(kept.split(" "));
    }

    /** What goes with a vessel, of the codes that are kept with it. */
    static Set<Companion> companions(String kept) {
        return Fields.someOf(Companion.class, codes(kept), "companions");
    }

    private static Map<String, String> schools(String kept) {
        Map<String, String> all = new TreeMap<>();
        for (String pair : kept.isEmpty() ? new String[0] : kept.split(" ")) {
            int dot = pair.indexOf('.');
            all.put(pair.substring(0, dot), pair.substring(dot + 1));
        }
        return all;
    }

    /** Where the household departs from every tradition, by question. */
    @Transactional(readOnly = true)
    public Map<String, String> schools() {
        return schools(place().schools);
    }

    /**
     * Answers one question for the whole household, or leaves it to each tradition again.
     *
     * @throws InvalidInputException for an unknown question or choice
     */
    @Transactional
    public Map<String, String> holdTo(String question, @Nullable String choice) {
        KitchenEntity k = place();
        Map<String, String> all = schools(k.schools);
        if (choice == null) {
            all.remove(question);
        } else {
            SchoolsFromRequest.read(Map.of(question, choice), Map.of(), Tradition.FOLK);
            all.put(question, choice);
        }
        k.schools = all.entrySet().stream()
                .map(e -> e.getKey() + "." + e.getValue())
                .collect(Collectors.joining(" "));
        kitchens.saveAndFlush(k);
        return all;
    }

    @Transactional
    public KitchenResponse change(PlaceRequest draft) {
        KitchenEntity k = place();
        RefusedException.unlessNewest(draft.version(), k.version, "kitchen", this::sheet);
        k.altitudeM = or(draft.altitudeM(), k.altitudeM);
        k.roomC = or(draft.roomC(), k.roomC);
        k.tapC = or(draft.tapC(), k.tapC);
        k.kettleW = or(draft.kettleW(), k.kettleW);
        k.liangG = or(draft.liangG(), k.liangG);
        k.measures = Fields.code(Fields.oneOf(
                KitchenSystem.class, Objects.requireNonNullElse(draft.measures(), k.measures), "measures"));
        if (draft.zone() != null) {
            k.zone = zone(draft.zone());
        }
        if (draft.units() != null) {
            write(k, draft.units().read(units(k)));
        }
        InvalidInputException.Check check = new InvalidInputException.Check();
        check.range("altitudeM", k.altitudeM, Limit.ALTITUDE_M);
        check.range("roomC", k.roomC, Limit.ROOM_C);
        check.range("tapC", k.tapC, Limit.TAP_C);
        check.range("kettleW", k.kettleW, Limit.KETTLE_W);
        check.range("liangG", k.liangG, Limit.LIANG_G);
        check.throwIfAny();
        kitchens.saveAndFlush(k);
        return sheet();
    }

    @Transactional
    public VesselResponse addVessel(VesselRequest draft) {
        VesselEntity e = new VesselEntity();
        e.id = Ids.next(clock.millis());
        write(e, draft);
        return sheet(vessels.saveAndFlush(e));
    }

    @Transactional
    public VesselResponse changeVessel(UUID id, VesselRequest draft) {
        VesselEntity e = vesselEntity(id);
        RefusedException.unlessNewest(draft.version(), e.version, "vessel", () -> sheet(e));
        write(e, draft);
        return sheet(vessels.saveAndFlush(e));
    }

    @Transactional
    public void removeVessel(UUID id) {
        vessels.delete(vesselEntity(id));
    }

    @Transactional
    public BurnerResponse addBurner(BurnerRequest draft) {
        BurnerEntity e = new BurnerEntity();
        e.id = Ids.next(clock.millis());
        write(e, draft);
        return sheet(burners.saveAndFlush(e));
    }

    @Transactional
    public BurnerResponse changeBurner(UUID id, BurnerRequest draft) {
        BurnerEntity e = burnerEntity(id);
        RefusedException.unlessNewest(draft.version(), e.version, "burner", () -> sheet(e));
        write(e, draft);
        return sheet(burners.saveAndFlush(e));
    }

    /** @throws InvalidInputException when no kitchen burner could have made the measurements */
    @Transactional(readOnly = true)
    public CalibrationResponse calibrate(UUID burnerId, CalibrationRequest draft) {
        VesselEntity v = vesselEntity(Fields.need(draft.vesselId(), "vesselId", Need.VESSEL_MEASURED));
        Kitchen kitchen = kitchen(place(), Optional.empty(), burner(burnerEntity(burnerId)));
        StoveCalibration fitted = StoveCalibration.of(
                kitchen,
                vessel(v),
                new StoveCalibration.Measured(
                        Fields.need(draft.waterMl(), "waterMl", Need.WATER),
                        Fields.need(draft.heatS(), "heatS", Need.HEAT_TIME),
                        Fields.need(draft.boilOffMl(), "boilOffMl", Need.BOILED_OFF),
                        Fields.need(draft.boilOffS(), "boilOffS", Need.BOIL_TIME)));
        Burner b = fitted.burner();
        return new CalibrationResponse(
                b.lowW(), b.mediumW(), b.highW(), WorkingsLine.of(fitted.highW()), WorkingsLine.of(fitted.mediumW()));
    }

    @Transactional
    public void removeBurner(UUID id) {
        burners.delete(burnerEntity(id));
    }

    private static void write(VesselEntity e, VesselRequest draft) {
        InvalidInputException.Check check = new InvalidInputException.Check();
        e.name = Fields.text(draft.name(), "name", Length.SHORT_NAME);
        e.kind = Fields.code(Fields.oneOf(Vessel.Kind.class, draft.kind(), "kind"));
        e.innerDiameterCm = Fields.need(draft.innerDiameterCm(), "innerDiameterCm", Need.DIAMETER);
        e.heightCm = Fields.need(draft.heightCm(), "heightCm", Need.HEIGHT);
        if (draft.companions() != null) {
            e.companions =
                    String.join(" ", Fields.codes(Fields.someOf(Companion.class, draft.companions(), "companions")));
        }
        e.brimMl = or(draft.brimMl(), Vessel.cylinderMl(e.innerDiameterCm, e.heightCm));
        vessel(e).check(check, "");
        check.throwIfAny();
    }

    private static void write(BurnerEntity e, BurnerRequest draft) {
        e.name = Fields.text(draft.name(), "name", Length.SHORT_NAME);
        e.lowW = Fields.need(draft.lowW(), "lowW", Need.POWER);
        e.mediumW = Fields.need(draft.mediumW(), "mediumW", Need.POWER);
        e.highW = Fields.need(draft.highW(), "highW", Need.POWER);
        InvalidInputException.Check check = new InvalidInputException.Check();
        burner(e).check(check, "");
        check.throwIfAny();
    }

    private static HouseUnits units(KitchenEntity k) {
        return new UnitsOfHouse(k.temperatures, k.weights, k.volumes, k.lengths, k.hours, k.dates)
                .read(HouseUnits.ofCore(Fields.oneOf(KitchenSystem.class, k.measures, "measures")));
    }

    private static void write(KitchenEntity k, HouseUnits units) {
        k.temperatures = Fields.code(units.temperatures());
        k.weights = Fields.code(units.weights());
        k.volumes = Fields.code(units.volumes());
        k.lengths = Fields.code(units.lengths());
        k.hours = Fields.code(units.hours());
        k.dates = Fields.code(units.dates());
    }

    private KitchenEntity place() {
        return kitchens.findById(1).orElseThrow(() -> RefusedException.notFound("kitchen", 1));
    }

    private VesselEntity vesselEntity(UUID id) {
        return vessels.findById(id).orElseThrow(() -> RefusedException.notFound("vessel", id));
    }

    private BurnerEntity burnerEntity(UUID id) {
        return burners.findById(id).orElseThrow(() -> RefusedException.notFound("burner", id));
    }

    private static Kitchen kitchen(KitchenEntity k, Optional<Vessel> vessel, Burner burner) {
        return new Kitchen(k.altitudeM, k.roomC, k.tapC, vessel, burner, k.kettleW);
    }

    private static Vessel vessel(VesselEntity e) {
        Vessel.Kind kind = Fields.oneOf(Vessel.Kind.class, e.kind, "vessel.kind");
        return Vessel.of(e.name, kind, e.innerDiameterCm, e.heightCm, e.brimMl).with(companions(e.companions));
    }

    private static Burner burner(BurnerEntity e) {
        return new Burner(e.name, e.lowW, e.mediumW, e.highW);
    }

    private static VesselResponse sheet(VesselEntity e) {
        return new VesselResponse(
                e.id, version(e.version), e.name, e.kind, e.innerDiameterCm, e.heightCm, e.brimMl, codes(e.companions));
    }

    private static BurnerResponse sheet(BurnerEntity e) {
        return new BurnerResponse(e.id, version(e.version), e.name, e.lowW, e.mediumW, e.highW);
    }

    private static long version(@Nullable Long version) {
        return Objects.requireNonNullElse(version, 0L);
    }

    private static double or(@Nullable Double value, double otherwise) {
        return value == null ? otherwise : value;
    }
}
