package embercup.server.labels;

import embercup.core.materia.Herb;
import embercup.core.materia.HerbMeasure;
import embercup.core.materia.Materia;
import embercup.core.materia.Severity;
import embercup.core.measure.MeasureCustom;
import embercup.server.brews.BrewResponse;
import embercup.server.brews.Brews;
import embercup.server.brews.Jars;
import embercup.server.brews.Jars.DropsLine;
import embercup.server.brews.Jars.JarResponse;
import embercup.server.brews.Jars.StandingJar;
import embercup.server.herbs.HouseMateria;
import embercup.server.kitchen.Kitchens;
import embercup.server.plans.PlanResponse.AdditionLine;
import embercup.server.platform.HouseWords;
import embercup.server.platform.RefusedException;
import embercup.server.recipes.RecipeFromDocument;
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
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What stands on the labels of what is kept. */
@Component
class Labels {

    private final Brews brews;
    private final Jars jars;
    private final Shelf shelf;
    private final HouseMateria houseMateria;
    private final Kitchens kitchens;
    private final Clock clock;

    Labels(Brews brews, Jars jars, Shelf shelf, HouseMateria houseMateria, Kitchens kitchens, Clock clock) {
        this.brews = brews;
        this.jars = jars;
        this.shelf = shelf;
        this.houseMateria = houseMateria;
        this.kitchens = kitchens;
        this.clock = clock;
    }

    /**
     * Labels of what is asked for, in its order: jars by their brews, tins, blends of the house by their slugs.
     *
     * @throws RefusedException 404 when one of them is not there
     */
    List<Label> of(List<UUID> jarIds, List<UUID> tinIds, List<String> blends) {
        Materia materia = houseMateria.materia();
        ZoneId zone = kitchens.zone();
        Map<UUID, JarResponse> inJars = jarIds.isEmpty() ? Map.of() : byId(jars.all(), JarResponse::id);
        Map<UUID, Tin> onShelf = tinIds.isEmpty() ? Map.of() : byId(shelf.all(), Tin::id);
        List<Label> all = new ArrayList<>();
        Map<UUID, StandingJar> standing =
                inJars.keySet().containsAll(jarIds) ? Map.of() : byId(jars.standing(), StandingJar::id);
        jarIds.forEach(id -> all.add(
                standing.containsKey(id)
                        ? ofStanding(standing.get(id), materia)
                        : ofJar(there(inJars, id, "jar"), materia, zone)));
        tinIds.forEach(id -> all.add(ofTin(there(onShelf, id, "tin"), materia)));
        blends.forEach(slug -> all.add(ofBlend(slug, materia, zone)));
        return all;
    }

    /** All jars, those that stand for weeks too, and all tins after them. */
    List<Label> ofEverything() {
        Materia materia = houseMateria.materia();
        ZoneId zone = kitchens.zone();
        List<Label> all = new ArrayList<>();
        jars.all().forEach(j -> all.add(ofJar(j, materia, zone)));
        jars.standing().forEach(j -> all.add(ofStanding(j, materia)));
        shelf.dated().forEach(t -> all.add(ofTin(t, materia)));
        return all;
    }

    private static <T> Map<UUID, T> byId(List<T> all, Function<T, UUID> id) {
        return all.stream().collect(Collectors.toMap(id, Function.identity()));
    }

    private static <T> T there(Map<UUID, T> all, UUID id, String what) {
        return Optional.ofNullable(all.get(id)).orElseThrow(() -> RefusedException.notFound(what, id));
    }

    private Label ofJar(JarResponse jar, Materia materia, ZoneId zone) {
        BrewResponse brew = brews.get(jar.id());
        String take =
                jar.kept().drops() == null ? posology(brew) : drops(jar.kept().drops());
        List<String> care = care(brew);
        String name = named(jar.name(), jar.drinkerName());
        return new Label(
                name,
                contents(materia, inPot(brew)),
                said("label.made", Map.of("day", day(jar.jar().madeAt(), zone))),
                jar.jar().goodUntil() == null
                        ? said("label.keeps", Map.of())
                        : said("label.use-by", Map.of("day", day(jar.jar().goodUntil(), zone))),
                take,
                care,
                "/keeping?jar=" + jar.id());
    }

    /** A long jar, labelled on the day it is set up: what stands in what since when, to be shaken, and when it is pressed. */
    private Label ofStanding(StandingJar jar, Materia materia) {
        BrewResponse brew = brews.get(jar.id());
        List<String> contents = new ArrayList<>(contents(materia, inPot(brew)));
        contents.add(said("label.drawn-by", Map.of("menstruum", jar.menstruum())));
        return new Label(
                named(jar.name(), jar.drinkerName()),
                contents,
                said("label.set-up", Map.of("day", day(jar.shaking().first()))),
                said("label.press-on", Map.of("day", day(jar.shaking().press()))),
                said("label.shake", Map.of()),
                care(brew),
                "/brew/" + jar.id());
    }

    private static String named(String name, String drinker) {
        return drinker.isEmpty() ? name : said("label.for", Map.of("name", name, "drinker", drinker));
    }

    private static Map<String, Double> inPot(BrewResponse brew) {
        Map<String, Double> grams = new LinkedHashMap<>();
        for (AdditionLine a : brew.plan().brewing().additions()) {
            if (!a.goes().perCup()) {
                grams.merge(a.of().herb(), a.weighed().grams(), Double::sum);
            }
        }
        return grams;
    }

    /** What was asked before the start was answered by it. */
    private static List<String> care(BrewResponse brew) {
        return brew.plan().judged().cautions().stream()
                .filter(c -> !c.severity().equals("note") && !Boolean.TRUE.equals(c.asks()))
                .map(c -> c.text())
                .toList();
    }

    private static String posology(BrewResponse brew) {
        return brew.request().pot().recipe() == null
                ? ""
                : RecipeFromDocument.read(brew.request().pot().recipe(), "recipe")
                        .posology()
                        .map(HouseWords.words()::say)
                        .orElse("");
    }

    private static String drops(DropsLine of) {
        return said(
                "label.drops",
                Map.of(
                        "drops",
                        Math.round(of.drops()),
                        "dose",
                        HouseWords.words().shown(of.doseMl(), "mL"),
                        "times",
                        of.timesADay(),
                        "alcohol",
                        of.alcoholPercent() == null ? 0 : Math.round(of.alcoholPercent()),
                        "alcoholTrue",
                        Boolean.toString(of.alcoholPercent() != null)));
    }

    private static Label ofTin(Tin tin, Materia materia) {
        List<Herb> herb = materia.find(tin.herb()).stream().toList();
        Map<String, Double> parts = materia.find(tin.herb())
                .filter(Herb::mixed)
                .map(b -> parts(materia, b))
                .orElse(Map.of());
        List<String> contents = new ArrayList<>(contents(materia, parts));
        herb.stream().map(Herb::latin).filter(l -> !l.isEmpty()).forEach(contents::add);
        if (parts.isEmpty()) {
            contents.add(said("form." + tin.form(), Map.of()));
        }
        if (!tin.note().isEmpty()) {
            contents.add(tin.note());
        }
        return new Label(
                tin.common(),
                contents,
                said(parts.isEmpty() ? "label.filled" : "label.mixed", Map.of("day", day(tin.filledOn()))),
                tin.bestBefore() == null ? "" : said("label.use-by", Map.of("day", day(tin.bestBefore()))),
                parts.isEmpty() ? "" : herb.get(0).use(),
                Stream.concat(herb.stream(), parts.keySet().stream().flatMap(h -> materia.find(h).stream()))
                        .flatMap(Labels::care)
                        .distinct()
                        .toList(),
                "/keeping?tin=" + tin.id());
    }

    /** A blend of the house, mixed today. */
    private Label ofBlend(String slug, Materia materia, ZoneId zone) {
        Herb blend = materia.find(slug).filter(Herb::mixed).orElseThrow(() -> RefusedException.notFound("herb", slug));
        Map<String, Double> parts = parts(materia, blend);
        return new Label(
                blend.common(),
                contents(materia, parts),
                said("label.mixed", Map.of("day", day(clock.instant(), zone))),
                "",
                blend.use(),
                parts.keySet().stream()
                        .flatMap(h -> materia.find(h).stream())
                        .flatMap(Labels::care)
                        .distinct()
                        .toList(),
                "/herbs/" + slug);
    }

    /** Herbs of a blend with their shares of its weight. */
    private static Map<String, Double> parts(Materia materia, Herb blend) {
        Map<String, Double> parts = new LinkedHashMap<>();
        new HerbMeasure(materia, MeasureCustom.DEFAULT)
                .shares(blend)
                .forEach(of -> parts.merge(of.portion().herb(), of.share(), Double::sum));
        return parts;
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

    private static String day(Instant at, ZoneId zone) {
        return day(LocalDate.ofInstant(at, zone));
    }

    /** With its month as a word, so that no order of numbers is mistaken. */
    private static String day(LocalDate day) {
        return day.format(
                DateTimeFormatter.ofPattern("d MMM yyyy", HouseWords.words().locale()));
    }

    private static String said(String key, Map<String, ?> arguments) {
        return HouseWords.words().sentence(key, arguments);
    }
}
