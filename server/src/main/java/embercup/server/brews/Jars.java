package embercup.server.brews;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import embercup.core.keeping.Drops;
import embercup.core.keeping.Jar;
import embercup.core.keeping.Jar.Span;
import embercup.core.keeping.LaterCup;
import embercup.core.keeping.Shaking;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.live.LiveBrew;
import embercup.core.measure.Volume;
import embercup.core.plan.BrewPlan;
import embercup.core.recipe.Menstruum;
import embercup.core.workings.Workings;
import embercup.server.herbs.HouseMateria;
import embercup.server.kitchen.Kitchens;
import embercup.server.plans.PlanResponse.KeepsLine;
import embercup.server.plans.Plans.CupJudged;
import embercup.server.platform.Fields;
import embercup.server.platform.HouseWords;
import embercup.server.platform.RefusedException;
import embercup.server.platform.WorkingsLine;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is left of pots, in jars. */
@Service
public class Jars {

    private final BrewRepository brews;
    private final BrewRows rows;
    private final Kitchens kitchens;
    private final HouseMateria houseMateria;
    private final CupCare care;
    private final Clock clock;

    Jars(BrewRepository brews, BrewRows rows, Kitchens kitchens, HouseMateria houseMateria, CupCare care, Clock clock) {
        this.care = care;
        this.houseMateria = houseMateria;
        this.brews = brews;
        this.rows = rows;
        this.kitchens = kitchens;
        this.clock = clock;
    }

    /**
     * A jar as it stands.
     *
     * @param id of the brew whose rest it holds
     * @param text how long it keeps and why; empty for what keeps for months, or when nobody knows
     * @param leftMl in it now
     * @param cupMl a cup of it as it is drunk
     * @param vessel the smallest jar of the household that holds what was put into it
     * @param making a cup out of it that is being made
     * @param drops how a tincture is taken; missing for what is drunk by the cup
     */
    public record JarResponse(
            UUID id,
            @Nullable UUID recipeId,
            String name,
            @JsonUnwrapped MadeFor madeFor,
            double leftMl,
            double cupMl,
            BrewResponse.InJar jar,
            JarVessel vessel,
            @JsonUnwrapped Kept kept) {

        public String text() {
            return kept.text;
        }

        public String drinkerName() {
            return madeFor.drinkerName;
        }
    }

    /** @param drinkerId missing for somebody who is not of the household */
    public record MadeFor(@Nullable UUID drinkerId, String drinkerName) {}

    /** How it keeps, and what is done with it. */
    public record Kept(
            String text,
            @Nullable String source,
            @Nullable CupMaking making,
            @Nullable DropsLine drops) {}

    /**
     * How a tincture is taken.
     *
     * @param strength mL of menstruum on a gram of herb
     * @param alcoholPercent missing for vinegar and glycerin
     * @param alcoholG in a dose
     */
    public record DropsLine(
            double strength,
            @Nullable Double alcoholPercent,
            @Nullable Double alcoholG,
            double doseMl,
            double drops,
            double teaspoons,
            int timesADay,
            Map<String, WorkingsLine> workings) {

        static DropsLine of(Drops drops) {
            Map<String, Workings> why = new LinkedHashMap<>();
            why.put("strength", drops.strength());
            why.put("doseMl", drops.dose());
            why.put("drops", drops.drops());
            why.put("teaspoons", drops.teaspoons());
            drops.alcohol().ifPresent(a -> why.put("alcoholPercent", a));
            return new DropsLine(
                    drops.strength().value(),
                    drops.alcohol().map(Workings::value).orElse(null),
                    drops.alcohol()
                            .map(a -> Menstruum.spirit(a.value()).alcoholGPerMl()
                                    * drops.dose().value())
                            .orElse(null),
                    drops.dose().value(),
                    drops.drops().value(),
                    drops.teaspoons().value(),
                    drops.timesADay(),
                    WorkingsLine.of(why));
        }
    }

    /** Spent herbs in the fridge, for a second brew. */
    public record MarcInFridge(
            UUID id,
            @Nullable UUID recipeId,
            String name,
            String drinkerName,
            @JsonUnwrapped BrewResponse.MarcLine marc) {}

    /**
     * A long maceration that stands.
     *
     * @param share how full its jar is, 0–1
     * @param menstruum what draws it, in words
     */
    public record StandingJar(
            UUID id,
            String name,
            String drinkerName,
            JarVessel vessel,
            double share,
            String menstruum,
            BrewResponse.ShakingLine shaking) {}

    public record JarVessel(String name, double innerDiameterCm, double heightCm, double brimMl) {
        static JarVessel of(Vessel v) {
            return new JarVessel(v.name(), v.innerDiameterCm(), v.heightCm(), v.brimMl());
        }
    }

    /** Every jar with something in it; what is to be drunk first comes first. */
    @Transactional(readOnly = true)
    public List<JarResponse> all() {
        Kitchen house =
                Kitchen.STANDARD.having(List.copyOf(kitchens.vesselsById().values()));
        Instant now = clock.instant();
        return brews.inJars(Jar.NOTHING_ML, Jar.NO_DROPS_ML).stream()
                .map(k -> line(k, house, now))
                .toList();
    }

    /** Spent herbs, what is to be used first before the others. */
    @Transactional(readOnly = true)
    public List<MarcInFridge> marcs() {
        Instant now = clock.instant();
        return brews.findAllByMarcAtNotNullOrderByMarcAtAscIdAsc().stream()
                .map(e -> new MarcInFridge(
                        e.id, e.recipeId, e.name, e.drinkerName, BrewResponse.MarcLine.of(e.marcAt, now)))
                .toList();
    }

    /** Jars that stand for weeks and are shaken daily. */
    @Transactional(readOnly = true)
    public List<StandingJar> standing() {
        LocalDate today = rows.day(clock.instant());
        return brews.findAllByPhaseInOrderByCreatedAtAscIdAsc(List.of("running")).stream()
                .flatMap(e -> rows.readable(e).stream().map(plan -> standing(e, plan, today)))
                .flatMap(Optional::stream)
                .toList();
    }

    private Optional<StandingJar> standing(BrewEntity e, BrewPlan plan, LocalDate today) {
        if (!Shaking.everIn(plan)) {
            return Optional.empty();
        }
        return rows.foldable(e)
                .flatMap(folded -> rows.shaking(e, folded))
                .map(s -> new StandingJar(
                        e.id,
                        e.name,
                        e.drinkerName,
                        JarVessel.of(plan.vessel()),
                        Math.min(1, plan.water().pourMl() / plan.vessel().brimMl()),
                        HouseWords.words().say(plan.request().recipe().menstruum()),
                        BrewResponse.ShakingLine.of(s, today)));
    }

    private JarResponse line(BrewRepository.InJar k, Kitchen house, Instant now) {
        Optional<Span> span = k.goodUntil() == null || k.drinkBy() == null
                ? Optional.empty()
                : Optional.of(new Span(k.goodUntil(), k.drinkBy()));
        Jar jar = new Jar(Volume.millilitres(k.leftMl()), k.madeAt(), span);
        return new JarResponse(
                k.id(),
                k.recipeId(),
                k.name(),
                new MadeFor(k.drinkerId(), k.drinkerName()),
                k.leftMl(),
                k.cupMl(),
                line(jar, k.keptAt(), now, k.note()),
                JarVessel.of(house.fitting(Kitchen.USUAL_JARS, k.keptMl())),
                new Kept(
                        k.text() == null ? "" : k.text(),
                        k.source(),
                        k.cupSince() == null ? null : making(k.id()),
                        // What keeps for months may be drawn with spirit: only then its plan is opened.
                        span.isEmpty() ? drops(k.id()) : null));
    }

    private @Nullable CupMaking making(UUID id) {
        BrewEntity e = rows.entity(id);
        return rows.foldable(e)
                .flatMap(folded -> folded.live().cup().map(c -> CupMaking.of(folded.plan(), c)))
                .orElse(null);
    }

    private @Nullable DropsLine drops(UUID id) {
        return rows.readable(rows.entity(id))
                .flatMap(plan -> Drops.of(houseMateria.materia(), plan))
                .map(DropsLine::of)
                .orElse(null);
    }

    /** Why the rest of a pot may not be put into a jar, as the catalogue names it; empty when it may. */
    static Optional<String> whyNotKept(BrewEntity e, LiveBrew live, @Nullable KeepsLine keeps) {
        if (e.clockReal != null) {
            return Optional.of("simulated");
        } else if (keeps != null && keeps.mostHours() == 0) {
            return Optional.of("soon");
        }
        boolean made = live.phase() == LiveBrew.Phase.RUNNING || live.phase() == LiveBrew.Phase.FINISHED;
        return made && Jar.worthKeeping(live) ? Optional.empty() : Optional.of("none");
    }

    /** @param keeps as it was told with the plan */
    static Jar of(LiveBrew live, @Nullable KeepsLine keeps) {
        Instant made = live.readyAt().orElseThrow();
        return new Jar(Volume.millilitres(live.leftMl()), made, span(made, keeps));
    }

    private static Optional<Span> span(Instant made, @Nullable KeepsLine keeps) {
        return Optional.ofNullable(keeps).map(k -> Span.of(made, k.hours(), k.mostHours()));
    }

    /** Missing before it is done, and for what a spirit, vinegar or glycerin keeps. */
    static @Nullable Instant inItsPotUntil(BrewRows.Folded folded, @Nullable KeepsLine keeps) {
        return folded.plan().request().recipe().menstruum().cold()
                ? null
                : folded.live()
                        .readyAt()
                        .map(made -> Jar.inItsPotUntil(made, span(made, keeps)))
                        .orElse(null);
    }

    /** By when a brew that is done is drunk; missing when no hours are told. */
    static @Nullable Instant goodUntil(LiveBrew live, @Nullable KeepsLine keeps) {
        return keeps == null || keeps.hours() == 0
                ? null
                : live.readyAt()
                        .flatMap(made -> span(made, keeps))
                        .map(Span::good)
                        .orElse(null);
    }

    static BrewResponse.InJar line(Jar jar, LiveBrew live, Instant now) {
        return line(
                jar,
                live.keptAt().orElseThrow(),
                now,
                live.happened().served().rest().note());
    }

    private static BrewResponse.InJar line(Jar jar, Instant keptAt, Instant now, String note) {
        return new BrewResponse.InJar(
                keptAt,
                jar.made(),
                jar.span().map(Span::good).orElse(null),
                jar.span().map(Span::latest).orElse(null),
                Fields.code(jar.at(now)),
                note);
    }

    /** @throws RefusedException 409 when nothing of the brew is in a jar */
    static void there(BrewEntity e) {
        double least = e.goodUntil == null ? Jar.NO_DROPS_ML : Jar.NOTHING_ML;
        if (e.keptAt == null || e.leftMl == null || e.leftMl < least) {
            throw RefusedException.of(HttpStatus.CONFLICT, "nothing-in-jar", Map.of());
        }
    }

    /**
     * A cup out of a jar.
     *
     * @param ml as it is drunk
     * @param how it is made
     * @param judged what care says of it to who drinks it
     */
    public record CupOfJar(double ml, LaterCup how, CupJudged judged) {}

    /**
     * How a cup out of it is made.
     *
     * @param drinkerId who drinks it; missing for an adult of whom nothing is known
     * @param ml as it is drunk; as much of the plan's cup as she usually gets when it is not said
     * @throws RefusedException 404 when there is no such brew or person, 409 when nothing of it is in a jar
     */
    @Transactional(readOnly = true)
    public CupOfJar cup(UUID id, @Nullable UUID drinkerId, @Nullable Double ml, boolean warm) {
        BrewEntity e = rows.entity(id);
        there(e);
        BrewPlan plan = rows.plan(e);
        double drunk = ml == null ? care.usualMl(plan, drinkerId) : ml;
        return new CupOfJar(
                drunk,
                LaterCup.of(plan, drunk, warm),
                drinkerId == null ? CupJudged.OF_NOBODY : care.of(e, plan, drinkerId, drunk));
    }
}
