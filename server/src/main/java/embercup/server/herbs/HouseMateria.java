package embercup.server.herbs;

import embercup.core.materia.Condition;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.HouseBlend;
import embercup.core.materia.Materia;
import embercup.core.materia.PlantPart;
import embercup.core.materia.Severity;
import embercup.core.materia.Tradition;
import embercup.core.measure.Quantity;
import embercup.core.measure.Spread;
import embercup.core.measure.Unit;
import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Length;
import embercup.core.workings.Limit;
import embercup.core.workings.Wanted;
import embercup.core.workings.Wanted.Need;
import embercup.server.herbs.OwnHerbDocument.SaysDocument;
import embercup.server.herbs.OwnHerbDocument.WeightDocument;
import embercup.server.kept.KeptJson;
import embercup.server.kept.KeptKind;
import embercup.server.kept.UnknownFormException;
import embercup.server.platform.Fields;
import embercup.server.platform.HouseWords;
import embercup.server.platform.RefusedException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Lazy;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The shipped materia with the cook's own herbs and weights over it. */
@Service
public class HouseMateria {

    private static final Logger LOG = LoggerFactory.getLogger(HouseMateria.class);

    /** How well a spoon that the cook weighed herself repeats (common practice, no source), relative. */
    private static final double OWN_SPREAD = 0.15;

    private final Materia shipped;
    private final OwnHerbRepository repository;
    private final List<HerbUses> places;
    private final KeptKind<OwnHerbDocument> kept;
    private final Clock clock;

    HouseMateria(
            Materia shipped, OwnHerbRepository repository, @Lazy List<HerbUses> places, KeptJson json, Clock clock) {
        this.shipped = shipped;
        this.repository = repository;
        this.places = places;
        this.kept = json.ofWire("own herb", OwnHerbDocument.class, List.of());
        this.clock = clock;
    }

    /** Herbs on offer by any of their names: without those that were put away. */
    @Transactional(readOnly = true)
    public List<Herb> search(String text) {
        Set<String> away = repository.findAll().stream()
                .filter(e -> e.retiredAt != null)
                .map(e -> e.slug)
                .collect(Collectors.toSet());
        return materia().search(text).stream()
                .filter(h -> !away.contains(h.slug()))
                .toList();
    }

    /** The materia as this household has it, read anew. */
    @Transactional(readOnly = true)
    public Materia materia() {
        Map<String, OwnHerbDocument> own = new TreeMap<>();
        for (OwnHerbEntity e : repository.findAll()) {
            try {
                own.put(e.slug, kept.read(e.document));
            } catch (UnknownFormException later) {
                // It is not known here until that version runs again; everything else is.
                LOG.warn("The own herb {} cannot be read: {}", e.slug, later.getMessage());
            }
        }
        Materia materia = shipped.with(own.entrySet().stream()
                .filter(e -> e.getValue().parts() == null)
                .map(e -> herb(e.getKey(), e.getValue()))
                .toList());
        for (Map.Entry<String, OwnHerbDocument> e : own.entrySet()) {
            if (e.getValue().parts() != null) {
                materia = with(materia, e.getKey(), e.getValue());
            }
        }
        return materia;
    }

    /** The shipped materia when the household has nothing of its own, without asking the database again. */
    public Materia materia(long ownHerbs) {
        return ownHerbs == 0 ? shipped : materia();
    }

    /** Complains of a herb that is neither shipped nor the cook's own; the database is asked for the latter only. */
    public void unknown(String slug, String field, InvalidInputException.Check check) {
        if (shipped.find(slug).isEmpty() && materia().find(slug).isEmpty()) {
            check.require(false, field, slug, shipped.unknownHerb(slug));
        }
    }

    /** What the cook says of a herb, with its version; empty when she says nothing. */
    @Transactional(readOnly = true)
    Optional<OwnHerbDocument> own(String slug) {
        return repository.findById(slug).map(this::doc);
    }

    /**
     * Keeps what the cook says of a herb.
     *
     * @throws InvalidInputException when a herb of her own lacks its name or part, or a weight is none
     * @throws RefusedException 409 with what is kept when the version is not the newest
     */
    @Transactional
    Herb keep(String slug, OwnHerbDocument doc) {
        if (!slug.matches("[a-z0-9]+(?:-[a-z0-9]+)*") || slug.length() > Length.OWN_SLUG) {
            throw InvalidInputException.of("slug", slug, new Wanted.SlugForm(Length.OWN_SLUG));
        }
        OwnHerbEntity e = repository.findById(slug).orElseGet(() -> {
            OwnHerbEntity added = new OwnHerbEntity();
            added.slug = slug;
            return added;
        });
        if (e.version != null && !Objects.equals(e.version, doc.version())) {
            throw RefusedException.stale("herb", doc(e));
        }
        Herb herb = doc.parts() == null ? herb(slug, doc) : mixed(slug, doc);
        e.retiredAt = null;
        e.document = kept.write(doc.at(null));
        repository.saveAndFlush(e);
        return herb;
    }

    /**
     * Back to what is shipped; a herb of the cook's own is gone.
     *
     * @param retire puts a herb that is still named somewhere away: nothing offers it any more, and what names it still works
     * @throws RefusedException 409 saying where it is named, when it is and is not to be put away
     */
    @Transactional
    void forget(String slug, boolean retire) {
        OwnHerbEntity e = repository.findById(slug).orElseThrow(() -> RefusedException.notFound("own-herb", slug));
        List<String> uses = shipped.find(slug).isPresent()
                ? List.of()
                : Stream.concat(blendsWith(slug).stream(), places.stream().flatMap(p -> p.usesOf(slug).stream()))
                        .toList();
        if (uses.isEmpty()) {
            repository.delete(e);
        } else if (retire) {
            e.retiredAt = clock.instant();
            repository.saveAndFlush(e);
        } else {
            throw RefusedException.of(HttpStatus.CONFLICT, "herb-in-use", Map.of("uses", String.join(", ", uses)));
        }
    }

    private OwnHerbDocument doc(OwnHerbEntity e) {
        return kept.read(e.document).at(e.version);
    }

    /** A blend that cannot be mixed any more is not there, and the log says so: nothing else fails with it. */
    private static Materia with(Materia materia, String slug, OwnHerbDocument doc) {
        try {
            return blend(slug, doc).in(materia);
        } catch (InvalidInputException e) {
            LOG.warn("The blend {} cannot be mixed: {}", slug, e.violations());
            return materia;
        }
    }

    /** A blend of herbs that are known; a herb that is shipped is none. */
    private Herb mixed(String slug, OwnHerbDocument doc) {
        Materia materia = materia();
        if (materia.find(slug).filter(h -> !h.mixed()).isPresent()) {
            throw InvalidInputException.of("slug", slug, new Wanted.FreeName());
        }
        return blend(slug, doc).in(materia).herb(slug, "slug");
    }

    private static HouseBlend blend(String slug, OwnHerbDocument doc) {
        List<OwnHerbDocument.PortionDocument> docs = doc.parts() == null ? List.of() : doc.parts();
        List<HouseBlend.Portion> portions = new ArrayList<>();
        for (int i = 0; i < docs.size(); i++) {
            OwnHerbDocument.PortionDocument p = docs.get(i);
            String at = "parts[" + i + "].";
            double amount = Fields.need(p.amount(), at + "amount", Need.AMOUNT);
            if (!Quantity.possible(amount)) {
                throw InvalidInputException.of(at + "amount", amount, new Wanted.AboveNothing(Limit.AMOUNT.high()));
            }
            portions.add(new HouseBlend.Portion(
                    Fields.text(p.herb(), at + "herb", Length.SLUG),
                    Fields.oneOf(Form.class, p.form(), at + "form", Form.DRIED),
                    Fields.oneOf(Cut.class, p.cut(), at + "cut", Cut.CHOPPED),
                    Quantity.of(amount, Fields.unit(p.unit() == null ? Unit.PART.code() : p.unit(), at + "unit"))));
        }
        return new HouseBlend(
                slug,
                Fields.text(doc.common(), "common", Length.HERB_NAME),
                Fields.textOrEmpty(doc.use(), "use", Length.USE),
                portions);
    }

    /** Names of the blends that a herb is in. */
    private List<String> blendsWith(String slug) {
        return materia().herbs().stream()
                .filter(h -> h.mixedOf().stream().anyMatch(p -> p.herb().equals(slug)))
                .map(h -> HouseWords.words().sentence("use.blend", Map.of("name", h.common())))
                .toList();
    }

    private Herb herb(String slug, OwnHerbDocument doc) {
        List<Herb.Bulk> weights = weights(doc);
        return shipped.find(slug)
                .map(h -> h.withOwnWeights(weights))
                .orElseGet(() -> said(
                        Herb.own(
                                slug,
                                Fields.text(doc.common(), "common", Length.HERB_NAME),
                                Fields.textOrEmpty(doc.latin(), "latin", Length.HERB_NAME),
                                Fields.oneOf(PlantPart.class, doc.part(), "part"),
                                Fields.textOrEmpty(doc.use(), "use", Length.USE),
                                weights),
                        doc.says()));
    }

    private static final String COOKS_SOURCE = "cooks-source";

    /** With what a source says that the cook names; the source stands behind every word of it. */
    private static Herb said(Herb herb, @Nullable SaysDocument says) {
        if (says == null) {
            return herb;
        }
        String source = Fields.text(says.source(), "says.source", Length.USE);
        List<Herb.HerbCaution> cautions = new ArrayList<>();
        List<OwnHerbDocument.CautionDocument> docs = says.cautions() == null ? List.of() : says.cautions();
        for (int i = 0; i < docs.size(); i++) {
            String at = "says.cautions[" + i + "]";
            Condition when = Fields.oneOf(Condition.class, docs.get(i).when(), at + ".when");
            Severity severity = Fields.oneOf(Severity.class, docs.get(i).severity(), at + ".severity");
            String text = Fields.textOrEmpty(docs.get(i).text(), at + ".text", Length.USE);
            cautions.add(new Herb.HerbCaution(
                    Optional.of(when),
                    Set.of(),
                    severity,
                    text.isEmpty()
                            ? HouseWords.words()
                                    .sentence(
                                            "own-herb.says-so",
                                            Map.of("severityCode", Fields.code(severity), "source", source))
                            : HouseWords.words().sentence("own-herb.says", Map.of("text", text, "source", source)),
                    COOKS_SOURCE));
        }
        return herb.asSourceSays(
                new Herb.Dosing(
                        doses(says),
                        Optional.ofNullable(says.ageFloorYears()).map(y -> new Herb.Sourced(y, COOKS_SOURCE)),
                        Optional.empty()),
                cautions);
    }

    private static List<Herb.DoseRange> doses(SaysDocument says) {
        if (says.perCupG() == null) {
            return List.of();
        }
        double low = says.perCupG();
        double high = says.perCupToG() == null ? low : says.perCupToG();
        InvalidInputException.Check check = new InvalidInputException.Check();
        check.require(high >= low, "says.perCupToG", high, new Wanted.AtLeast(low));
        check.throwIfAny();
        double times = says.timesADay() == null ? 1 : says.timesADay();
        return List.of(new Herb.DoseRange(
                Tradition.FOLK,
                Form.DRIED,
                new Herb.Range(low, high),
                new Herb.Range(low, high * Math.max(1, times)),
                new Herb.Range(Math.min(1, times), times),
                COOKS_SOURCE));
    }

    private static List<Herb.Bulk> weights(OwnHerbDocument doc) {
        List<WeightDocument> docs = doc.weights() == null ? List.of() : doc.weights();
        List<Herb.Bulk> all = new ArrayList<>();
        InvalidInputException.Check check = new InvalidInputException.Check();
        for (int i = 0; i < docs.size(); i++) {
            WeightDocument w = docs.get(i);
            String at = "weights[" + i + "]";
            Form form = Fields.oneOf(Form.class, w.form(), at + ".form", Form.DRIED);
            Cut cut = Fields.oneOf(Cut.class, w.cut(), at + ".cut");
            double grams = Fields.need(w.gPerTsp(), at + ".gPerTsp", Need.SPOON_WEIGHT);
            if (check.range(at + ".gPerTsp", grams, Limit.SPOON_G)) {
                all.add(new Herb.Bulk(form, cut, Spread.around(grams, OWN_SPREAD), "own"));
            }
        }
        check.throwIfAny();
        return all;
    }
}
