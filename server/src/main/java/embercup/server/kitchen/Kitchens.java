package embercup.server.kitchen;

import embercup.core.brew.StoveCalibration;
import embercup.core.kitchen.Burner;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Tradition;
import embercup.core.measure.KitchenSystem;
import embercup.core.measure.MeasureCustom;
import embercup.core.workings.InvalidInput;
import embercup.server.kitchen.KitchenEntities.BurnerEntity;
import embercup.server.kitchen.KitchenEntities.KitchenEntity;
import embercup.server.kitchen.KitchenEntities.VesselEntity;
import embercup.server.kitchen.KitchenSheet.BurnerDraft;
import embercup.server.kitchen.KitchenSheet.BurnerSheet;
import embercup.server.kitchen.KitchenSheet.CalibrationDraft;
import embercup.server.kitchen.KitchenSheet.CalibrationSheet;
import embercup.server.kitchen.KitchenSheet.PlaceDraft;
import embercup.server.kitchen.KitchenSheet.VesselDraft;
import embercup.server.kitchen.KitchenSheet.VesselSheet;
import embercup.server.platform.Fields;
import embercup.server.platform.Ids;
import embercup.server.platform.Refusal;
import embercup.server.platform.SchoolsReading;
import embercup.server.platform.WorkingsLine;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
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
    public KitchenSheet sheet() {
        KitchenEntity k = place();
        Kitchen core = kitchen(k, Optional.empty(), Burner.SMALL);
        return new KitchenSheet(
                version(k.version),
                k.altitudeM,
                k.roomC,
                k.tapC,
                k.kettleW,
                k.measures,
                k.liangG,
                core.boilingC(),
                vessels.findAllByOrderByBrimMl().stream().map(Kitchens::sheet).toList(),
                burners.findAllByOrderByHighW().stream().map(Kitchens::sheet).toList());
    }

    /** The household's vessels, the smallest first. */
    @Transactional(readOnly = true)
    public Map<UUID, Vessel> vesselsById() {
        Map<UUID, Vessel> all = new LinkedHashMap<>();
        vessels.findAllByOrderByBrimMl().forEach(v -> all.put(v.id, vessel(v)));
        return all;
    }

    /** The household's burners. */
    @Transactional(readOnly = true)
    public List<Burner> coreBurners() {
        return burners.findAllByOrderByHighW().stream().map(Kitchens::burner).toList();
    }

    /**
     * The kitchen for a plan, and how this household reads its measures.
     *
     * @param ownHerbs how many herbs are the cook's own or have her own weights
     */
    public record Own(Kitchen kitchen, MeasureCustom custom, long ownHerbs, Map<String, String> schools) {}

    /** This place with a vessel and a burner of the household, or its smallest burner, else the standard one. */
    public Own own(@Nullable UUID vesselId, @Nullable UUID burnerId) {
        OwnKitchen.Row row = ownKitchen.read(burnerId);
        String name = row.burnerName();
        if (burnerId != null && name == null) {
            throw Refusal.notFound("burner", burnerId);
        }
        Optional<Vessel> vessel = vesselId == null ? Optional.empty() : Optional.of(vessel(vesselEntity(vesselId)));
        Burner burner = name == null
                ? Burner.SMALL
                : new Burner(name, or(row.lowW(), 0), or(row.mediumW(), 0), or(row.highW(), 0));
        return new Own(
                new Kitchen(row.altitudeM(), row.roomC(), row.tapC(), vessel, burner, row.kettleW()),
                new MeasureCustom(Fields.oneOf(KitchenSystem.class, row.measures(), "measures"), row.liangG()),
                row.ownHerbs(),
                schools(row.schools()));
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
     * @throws InvalidInput for an unknown question or choice
     */
    @Transactional
    public Map<String, String> holdTo(String question, @Nullable String choice) {
        KitchenEntity k = place();
        Map<String, String> all = schools(k.schools);
        if (choice == null) {
            all.remove(question);
        } else {
            SchoolsReading.read(Map.of(question, choice), Map.of(), Tradition.FOLK);
            all.put(question, choice);
        }
        k.schools = all.entrySet().stream()
                .map(e -> e.getKey() + "." + e.getValue())
                .collect(Collectors.joining(" "));
        kitchens.saveAndFlush(k);
        return all;
    }

    @Transactional
    public KitchenSheet change(PlaceDraft draft) {
        KitchenEntity k = place();
        Refusal.unlessNewest(draft.version(), k.version, "kitchen", this::sheet);
        k.altitudeM = or(draft.altitudeM(), k.altitudeM);
        k.roomC = or(draft.roomC(), k.roomC);
        k.tapC = or(draft.tapC(), k.tapC);
        k.kettleW = or(draft.kettleW(), k.kettleW);
        k.liangG = or(draft.liangG(), k.liangG);
        k.measures = Fields.code(Fields.oneOf(
                KitchenSystem.class, Objects.requireNonNullElse(draft.measures(), k.measures), "measures"));
        InvalidInput.Check check = new InvalidInput.Check();
        check.range("altitudeM", k.altitudeM, -400, 5000, "m");
        check.range("roomC", k.roomC, -10, 45, "°C");
        check.range("tapC", k.tapC, 0, 60, "°C");
        check.range("kettleW", k.kettleW, 300, 4000, "W");
        check.range("liangG", k.liangG, 1, 60, "g");
        check.throwIfAny();
        kitchens.saveAndFlush(k);
        return sheet();
    }

    @Transactional
    public VesselSheet addVessel(VesselDraft draft) {
        VesselEntity e = new VesselEntity();
        e.id = Ids.next(clock.millis());
        write(e, draft);
        return sheet(vessels.saveAndFlush(e));
    }

    @Transactional
    public VesselSheet changeVessel(UUID id, VesselDraft draft) {
        VesselEntity e = vesselEntity(id);
        Refusal.unlessNewest(draft.version(), e.version, "vessel", () -> sheet(e));
        write(e, draft);
        return sheet(vessels.saveAndFlush(e));
    }

    @Transactional
    public void removeVessel(UUID id) {
        vessels.delete(vesselEntity(id));
    }

    @Transactional
    public BurnerSheet addBurner(BurnerDraft draft) {
        BurnerEntity e = new BurnerEntity();
        e.id = Ids.next(clock.millis());
        write(e, draft);
        return sheet(burners.saveAndFlush(e));
    }

    @Transactional
    public BurnerSheet changeBurner(UUID id, BurnerDraft draft) {
        BurnerEntity e = burnerEntity(id);
        Refusal.unlessNewest(draft.version(), e.version, "burner", () -> sheet(e));
        write(e, draft);
        return sheet(burners.saveAndFlush(e));
    }

    /** @throws InvalidInput when no kitchen burner could have made the measurements */
    @Transactional(readOnly = true)
    public CalibrationSheet calibrate(UUID burnerId, CalibrationDraft draft) {
        VesselEntity v = vesselEntity(Fields.need(draft.vesselId(), "vesselId", "the vessel it was measured with"));
        Kitchen kitchen = kitchen(place(), Optional.empty(), burner(burnerEntity(burnerId)));
        StoveCalibration fitted = StoveCalibration.of(
                kitchen,
                vessel(v),
                Fields.need(draft.waterMl(), "waterMl", "the water in mL"),
                Fields.need(draft.heatS(), "heatS", "the seconds to the boil"),
                Fields.need(draft.boilOffMl(), "boilOffMl", "the millilitres boiled away"),
                Fields.need(draft.boilOffS(), "boilOffS", "the seconds of boiling"));
        Burner b = fitted.burner();
        return new CalibrationSheet(
                b.lowW(), b.mediumW(), b.highW(), WorkingsLine.of(fitted.highW()), WorkingsLine.of(fitted.mediumW()));
    }

    @Transactional
    public void removeBurner(UUID id) {
        burners.delete(burnerEntity(id));
    }

    private static void write(VesselEntity e, VesselDraft draft) {
        InvalidInput.Check check = new InvalidInput.Check();
        e.name = Fields.text(draft.name(), "name", 60);
        e.kind = Fields.code(Fields.oneOf(Vessel.Kind.class, draft.kind(), "kind"));
        e.innerDiameterCm = Fields.need(draft.innerDiameterCm(), "innerDiameterCm", "the inner diameter in cm");
        e.heightCm = Fields.need(draft.heightCm(), "heightCm", "the inner height in cm");
        double cylinder = Math.PI * e.innerDiameterCm * e.innerDiameterCm / 4 * e.heightCm;
        e.brimMl = or(draft.brimMl(), cylinder);
        check.range("innerDiameterCm", e.innerDiameterCm, 3, 60, "cm");
        check.range("heightCm", e.heightCm, 3, 60, "cm");
        check.range("brimMl", e.brimMl, cylinder * 0.5, cylinder * 1.3, "mL for that diameter and height");
        check.throwIfAny();
    }

    private static void write(BurnerEntity e, BurnerDraft draft) {
        e.name = Fields.text(draft.name(), "name", 60);
        e.lowW = Fields.need(draft.lowW(), "lowW", "net power in W");
        e.mediumW = Fields.need(draft.mediumW(), "mediumW", "net power in W");
        e.highW = Fields.need(draft.highW(), "highW", "net power in W");
        InvalidInput.Check check = new InvalidInput.Check();
        check.range("lowW", e.lowW, 20, 6000, "W");
        check.range("mediumW", e.mediumW, e.lowW, 6000, "W");
        check.range("highW", e.highW, e.mediumW, 6000, "W");
        check.throwIfAny();
    }

    private KitchenEntity place() {
        return kitchens.findById(1).orElseThrow(() -> Refusal.notFound("kitchen", 1));
    }

    private VesselEntity vesselEntity(UUID id) {
        return vessels.findById(id).orElseThrow(() -> Refusal.notFound("vessel", id));
    }

    private BurnerEntity burnerEntity(UUID id) {
        return burners.findById(id).orElseThrow(() -> Refusal.notFound("burner", id));
    }

    private static Kitchen kitchen(KitchenEntity k, Optional<Vessel> vessel, Burner burner) {
        return new Kitchen(k.altitudeM, k.roomC, k.tapC, vessel, burner, k.kettleW);
    }

    private static Vessel vessel(VesselEntity e) {
        Vessel usual = Vessel.of(
                e.name, Fields.oneOf(Vessel.Kind.class, e.kind, "vessel.kind"), e.innerDiameterCm, e.heightCm);
        return new Vessel(e.name, usual.kind(), e.innerDiameterCm, e.heightCm, e.brimMl, usual.wallJPerK());
    }

    private static Burner burner(BurnerEntity e) {
        return new Burner(e.name, e.lowW, e.mediumW, e.highW);
    }

    private static VesselSheet sheet(VesselEntity e) {
        return new VesselSheet(e.id, version(e.version), e.name, e.kind, e.innerDiameterCm, e.heightCm, e.brimMl);
    }

    private static BurnerSheet sheet(BurnerEntity e) {
        return new BurnerSheet(e.id, version(e.version), e.name, e.lowW, e.mediumW, e.highW);
    }

    private static long version(@Nullable Long version) {
        return Objects.requireNonNullElse(version, 0L);
    }

    private static double or(@Nullable Double value, double otherwise) {
        return value == null ? otherwise : value;
    }
}
