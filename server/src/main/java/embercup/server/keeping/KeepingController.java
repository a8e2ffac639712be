package embercup.server.keeping;

import embercup.server.brews.Jars;
import embercup.server.brews.Jars.JarResponse;
import embercup.server.brews.Jars.MarcInFridge;
import embercup.server.brews.Jars.StandingJar;
import embercup.server.keeping.Lacking.LackingLine;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What is kept in the house, and how a cup out of it is made. */
@RestController
@RequestMapping("/api/keeping")
class KeepingController {

    private final Jars jars;
    private final Lacking lacking;
    private final Clock clock;

    KeepingController(Jars jars, Lacking lacking, Clock clock) {
        this.lacking = lacking;
        this.jars = jars;
        this.clock = clock;
    }

    /**
     * @param jars what is to be drunk first comes first
     * @param marcs spent herbs, what is to be used first comes first
     * @param standing long macerations that are shaken daily
     */
    record KeepingResponse(
            Instant serverNow, List<JarResponse> jars, List<MarcInFridge> marcs, List<StandingJar> standing) {}

    @GetMapping
    KeepingResponse keeping() {
        return new KeepingResponse(clock.instant(), jars.all(), jars.marcs(), jars.standing());
    }

    /** What kept recipes need that is not in the house; one that lacks nothing is left out. */
    @GetMapping("/lacking")
    List<LackingLine> lacking() {
        return lacking.all();
    }

    /**
     * A cup of what is in the jar of a brew.
     *
     * @param drinkerId who drinks it; missing for an adult of whom nothing is known
     * @param ml as it is drunk, mL; as much of a cup of the brew's size as she usually gets when it is not said
     * @param warm whether it is warmed
     */
    @GetMapping("/jars/{brewId}/cup")
    LaterCupResponse laterCup(
            @PathVariable UUID brewId,
            @RequestParam(required = false) @Nullable UUID drinkerId,
            @RequestParam(required = false) @Nullable Double ml,
            @RequestParam(defaultValue = "true") boolean warm) {
        return LaterCupResponse.of(jars.cup(brewId, drinkerId, ml, warm));
    }
}
