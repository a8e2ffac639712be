package embercup.server.brews;

import embercup.core.keeping.Jar;
import embercup.core.keeping.Jar.Span;
import embercup.core.keeping.LaterCup;
import embercup.core.kitchen.Kitchen;
import embercup.core.kitchen.Vessel;
import embercup.core.live.LiveBrew;
import embercup.core.measure.Volume;
import embercup.server.kitchen.Kitchens;
import embercup.server.plans.PlanResponse.KeepsLine;
import embercup.server.platform.Fields;
import embercup.server.platform.RefusedException;
import java.time.Clock;
import java.time.Instant;
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
    private final Clock clock;

    Jars(BrewRepository brews, BrewRows rows, Kitchens kitchens, Clock clock) {
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
     */
    public record JarResponse(
            UUID id,
            @Nullable UUID recipeId,
            String name,
            String drinkerName,
            double leftMl,
            double cupMl,
            BrewResponse.InJar jar,
            JarVessel vessel,
            String text,
            @Nullable String source) {}

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
        return brews.inJars(Jar.NOTHING_ML).stream()
                .map(k -> line(k, house, now))
                .toList();
    }

    private static JarResponse line(BrewRepository.InJar k, Kitchen house, Instant now) {
        Optional<Span> span = k.goodUntil() == null || k.drinkBy() == null
                ? Optional.empty()
                : Optional.of(new Span(k.goodUntil(), k.drinkBy()));
        Jar jar = new Jar(Volume.millilitres(k.leftMl()), k.madeAt(), span);
        return new JarResponse(
                k.id(),
                k.recipeId(),
                k.name(),
                k.drinkerName(),
                k.leftMl(),
                k.cupMl(),
                line(jar, k.keptAt(), now),
                JarVessel.of(house.fitting(Kitchen.USUAL_JARS, k.keptMl())),
                k.text() == null ? "" : k.text(),
                k.source());
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
        return new Jar(
                Volume.millilitres(live.leftMl()),
                made,
                Optional.ofNullable(keeps).map(k -> Span.of(made, k.hours(), k.mostHours())));
    }

    static BrewResponse.InJar line(Jar jar, LiveBrew live, Instant now) {
        return line(jar, live.keptAt().orElseThrow(), now);
    }

    private static BrewResponse.InJar line(Jar jar, Instant keptAt, Instant now) {
        return new BrewResponse.InJar(
                keptAt,
                jar.made(),
                jar.span().map(Span::good).orElse(null),
                jar.span().map(Span::latest).orElse(null),
                Fields.code(jar.at(now)));
    }

    /**
     * How a cup out of it is made.
     *
     * @param ml as it is drunk; a cup of the plan's size when it is not said
     * @throws RefusedException 404 when there is no such brew, 409 when nothing of it is in a jar
     */
    @Transactional(readOnly = true)
    public LaterCup cup(UUID id, @Nullable Double ml, boolean warm) {
        BrewEntity e = rows.entity(id);
        if (e.keptAt == null || e.leftMl == null || e.leftMl < Jar.NOTHING_ML) {
            throw RefusedException.of(HttpStatus.CONFLICT, "nothing-in-jar", Map.of());
        }
        var plan = rows.plan(e);
        return LaterCup.of(plan, ml == null ? plan.request().cupMl() : ml, warm);
    }
}
