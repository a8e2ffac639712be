package embercup.server.herbs;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import embercup.core.materia.PlantPart;
import embercup.core.measure.Spread;
import embercup.core.workings.InvalidInput;
import embercup.server.herbs.OwnHerbDoc.WeightDoc;
import embercup.server.platform.Fields;
import embercup.server.platform.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** The shipped materia with the cook's own herbs and weights over it. */
@Service
public class Herbary {

    /** How well a spoon that the cook weighed herself repeats (common practice, no source), relative. */
    private static final double OWN_SPREAD = 0.15;

    private final Materia shipped;
    private final OwnHerbRepository repository;
    private final JsonMapper json;

    Herbary(Materia shipped, OwnHerbRepository repository, JsonMapper json) {
        this.shipped = shipped;
        this.repository = repository;
        this.json = json;
    }

    /** The materia as this household has it, read anew. */
    @Transactional(readOnly = true)
    public Materia materia() {
        List<Herb> own = repository.findAll().stream()
                .map(e -> herb(e.slug, json.readValue(e.document, OwnHerbDoc.class)))
                .toList();
        return own.isEmpty() ? shipped : shipped.with(own);
    }

    /** The shipped materia when the household has nothing of its own, without asking the database again. */
    public Materia materia(long ownHerbs) {
        return ownHerbs == 0 ? shipped : materia();
    }

    /** Complains of a herb that is neither shipped nor the cook's own; the database is asked for the latter only. */
    public void unknown(String slug, String field, InvalidInput.Check check) {
        if (shipped.find(slug).isEmpty() && materia().find(slug).isEmpty()) {
            check.require(false, field, slug, shipped.unknownHerb(slug));
        }
    }

    /** What the cook says of a herb, with its version; empty when she says nothing. */
    @Transactional(readOnly = true)
    Optional<OwnHerbDoc> own(String slug) {
        return repository.findById(slug).map(this::doc);
    }

    /**
     * Keeps what the cook says of a herb.
     *
     * @throws InvalidInput when a herb of her own lacks its name or part, or a weight is none
     * @throws Refusal 409 with what is kept when the version is not the newest
     */
    @Transactional
    Herb keep(String slug, OwnHerbDoc doc) {
        if (!slug.matches("[a-z0-9]+(?:-[a-z0-9]+)*") || slug.length() > 60) {
            throw InvalidInput.of("slug", slug, "lower-case words joined by hyphens, at most 60 characters");
        }
        OwnHerbEntity e = repository.findById(slug).orElseGet(() -> {
            OwnHerbEntity added = new OwnHerbEntity();
            added.slug = slug;
            return added;
        });
        if (e.version != null && !Objects.equals(e.version, doc.version())) {
            throw Refusal.stale("herb", doc(e));
        }
        Herb herb = herb(slug, doc);
        e.document = json.writeValueAsString(
                new OwnHerbDoc(null, doc.common(), doc.latin(), doc.part(), doc.use(), doc.weights()));
        repository.saveAndFlush(e);
        return herb;
    }

    /** Back to what is shipped; a herb of the cook's own is gone. */
    @Transactional
    void forget(String slug) {
        repository.delete(repository.findById(slug).orElseThrow(() -> Refusal.notFound("herb of your own", slug)));
    }

    private OwnHerbDoc doc(OwnHerbEntity e) {
        OwnHerbDoc d = json.readValue(e.document, OwnHerbDoc.class);
        return new OwnHerbDoc(e.version, d.common(), d.latin(), d.part(), d.use(), d.weights());
    }

    private Herb herb(String slug, OwnHerbDoc doc) {
        List<Herb.Bulk> weights = weights(doc);
        return shipped.find(slug)
                .map(h -> h.withOwnWeights(weights))
                .orElseGet(() -> Herb.own(
                        slug,
                        Fields.text(doc.common(), "common", 80),
                        Fields.textOrEmpty(doc.latin(), "latin", 80),
                        Fields.oneOf(PlantPart.class, doc.part(), "part"),
                        Fields.textOrEmpty(doc.use(), "use", 300),
                        weights));
    }

    private static List<Herb.Bulk> weights(OwnHerbDoc doc) {
        List<WeightDoc> docs = doc.weights() == null ? List.of() : doc.weights();
        List<Herb.Bulk> all = new ArrayList<>();
        InvalidInput.Check check = new InvalidInput.Check();
        for (int i = 0; i < docs.size(); i++) {
            WeightDoc w = docs.get(i);
            String at = "weights[" + i + "]";
            Form form = Fields.oneOf(Form.class, w.form(), at + ".form", Form.DRIED);
            Cut cut = Fields.oneOf(Cut.class, w.cut(), at + ".cut");
            double grams = Fields.need(w.gPerTsp(), at + ".gPerTsp", "grams of a level teaspoon");
            if (check.range(at + ".gPerTsp", grams, 0.02, 20, "g")) {
                all.add(new Herb.Bulk(form, cut, Spread.around(grams, OWN_SPREAD), "own"));
            }
        }
        check.throwIfAny();
        return all;
    }
}
