package embercup.server.labels;

import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.HerbMeasure;
import embercup.core.materia.Materia;
import embercup.core.materia.Severity;
import embercup.core.measure.MeasureCustom;
import embercup.server.brews.BrewResponse;
import embercup.server.brews.Brews;
import embercup.server.brews.Jars;
import embercup.server.brews.Jars.JarResponse;
import embercup.server.herbs.Herbary;
import embercup.server.kitchen.Kitchens;
import embercup.server.plans.PlanResponse.AdditionLine;
import embercup.server.platform.HouseWords;
import embercup.server.platform.RefusedException;
import embercup.server.recipes.RecipeReading;
import embercup.server.shelf.Shelf;
import embercup.server.shelf.Tin;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What stands on the labels of what is kept. */
@Component
class Labels {

    /** Cautions that have room; the square leads to all. */
    private static final int CAUTIONS = 3;

    private final Brews brews;
    private final Jars jars;
    private final Shelf shelf;
    private final Herbary herbary;
    private final Kitchens kitchens;
    private final Clock clock;

    Labels(Brews brews, Jars jars, Shelf shelf, Herbary herbary, Kitchens kitchens, Clock clock) {
        this.brews = brews;
        this.jars = jars;
        this.shelf = shelf;
        this.herbary = herbary;
        this.kitchens = kitchens;
        this.clock = clock;
    }

    /** @throws RefusedException 404 when nothing of that brew is in a jar */
    Label ofJar(UUID brewId) {
        JarResponse jar = jars.all().stream()
                .filter(j -> j.id().equals(brewId))
                .findFirst()
                .orElseThrow(() -> RefusedException.notFound("jar", brewId));
        BrewResponse brew = brews.get(brewId);
        Materia materia = herbary.materia();
        Map<String, Double> grams = new LinkedHashMap<>();
        for (AdditionLine a : brew.plan().brewing().additions()) {
            if (!a.goes().perCup()) {
                grams.merge(a.of().herb(), a.weighed().grams(), Double::sum);
            }
        }
        String take = brew.request().pot().recipe() == null
                ? ""
                : RecipeReading.read(brew.request().pot().recipe(), "recipe")
                        .posology()
                        .map(HouseWords.words()::say)
                        .orElse("");
        List<String> care = brew.plan().judged().cautions().stream()
                .filter(c -> !c.severity().equals("note"))
                .map(c -> c.text())
                .limit(CAUTIONS)
                .toList();
        String name = jar.drinkerName().isEmpty()
                ? jar.name()
                : said("label.for", Map.of("name", jar.name(), "drinker", jar.drinkerName()));
        return new Label(
                name,
                contents(materia, grams),
                said("label.made", Map.of("day", day(jar.jar().madeAt()))),
                jar.jar().goodUntil() == null
                        ? said("label.keeps", Map.of())
                        : said("label.use-by", Map.of("day", day(jar.jar().goodUntil()))),
                take,
                care,
                "/keeping?jar=" + brewId);
    }

    /** @throws RefusedException 404 when there is no such tin */
    Label ofTin(UUID id) {
        Tin tin = shelf.all().stream()
                .filter(t -> t.id().equals(id))
                .findFirst()
                .orElseThrow(() -> RefusedException.notFound("tin", id));
        Materia materia = herbary.materia();
        List<Herb> herb = materia.find(tin.herb()).stream().toList();
        List<String> contents = new ArrayList<>();
        herb.stream().map(Herb::latin).filter(l -> !l.isEmpty()).forEach(contents::add);
        contents.add(HouseWords.words()
                .sentence(
                        "form."
                                + Form.valueOf(tin.form().toUpperCase(Locale.ROOT))
                                        .name()
                                        .toLowerCase(Locale.ROOT),
                        Map.of()));
        if (!tin.note().isEmpty()) {
            contents.add(tin.note());
        }
        return new Label(
                tin.common(),
                contents,
                said("label.filled", Map.of("day", day(tin.filledOn()))),
                tin.bestBefore() == null ? "" : said("label.use-by", Map.of("day", day(tin.bestBefore()))),
                "",
                herb.stream().flatMap(Labels::care).limit(CAUTIONS).toList(),
                "/keeping?tin=" + id);
    }

    /** A blend of the house, mixed today. @throws RefusedException 404 when it is none */
    Label ofBlend(String slug) {
        Materia materia = herbary.materia();
        Herb blend = materia.find(slug).filter(Herb::mixed).orElseThrow(() -> RefusedException.notFound("herb", slug));
        Map<String, Double> parts = new LinkedHashMap<>();
        List<Double> shares = new HerbMeasure(materia, MeasureCustom.DEFAULT).shares(blend);
        for (int i = 0; i < shares.size(); i++) {
            parts.merge(blend.mixedOf().get(i).herb(), shares.get(i), Double::sum);
        }
        return new Label(
                blend.common(),
                contents(materia, parts),
                said("label.mixed", Map.of("day", day(LocalDate.ofInstant(clock.instant(), kitchens.zone())))),
                "",
                blend.use(),
                parts.keySet().stream()
                        .flatMap(h -> materia.find(h).stream())
                        .flatMap(Labels::care)
                        .distinct()
                        .limit(CAUTIONS)
                        .toList(),
                "/herbs/" + slug);
    }

    /** "Dandelion root (Taraxacum officinale) 54 %". */
    private static List<String> contents(Materia materia, Map<String, Double> amounts) {
        double all = amounts.values().stream().mapToDouble(Double::doubleValue).sum();
        return amounts.entrySet().stream()
                .map(e -> said(
                        "label.content",
                        Map.of(
                                "herb",
                                materia.find(e.getKey()).map(Herb::common).orElse(e.getKey()),
                                "latin",
                                materia.find(e.getKey()).map(Herb::latin).orElse(""),
                                "latinTrue",
                                Boolean.toString(materia.find(e.getKey())
                                        .map(Herb::latin)
                                        .filter(l -> !l.isEmpty())
                                        .isPresent()),
                                "share",
                                all > 0 && amounts.size() > 1 ? Math.round(e.getValue() / all * 100) : 0)))
                .toList();
    }

    /** What is to be minded by everybody, and then for whom it is not. */
    private static Stream<String> care(Herb herb) {
        return herb.cautions().stream()
                .filter(c -> c.severity() != Severity.NOTE)
                .sorted((a, b) -> b.severity().compareTo(a.severity()))
                .map(Herb.HerbCaution::text)
                .map(HouseWords.words()::quantities);
    }

    private String day(Instant at) {
        return day(LocalDate.ofInstant(at, zone()));
    }

    private ZoneId zone() {
        return kitchens.zone();
    }

    /** With its month as a word, so that no order of numbers is mistaken. */
    private static String day(LocalDate day) {
        return day.format(DateTimeFormatter.ofPattern("d MMM yyyy", Locale.UK));
    }

    private static String said(String key, Map<String, ?> arguments) {
        return HouseWords.words().sentence(key, arguments);
    }
}
