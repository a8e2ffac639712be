package embercup.server.platform;

import embercup.core.care.Care;
import embercup.core.materia.Materia;
import embercup.core.plan.Planner;
import java.time.Clock;
import java.time.ZoneOffset;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The core's entry points as beans, and the one clock. */
@Configuration
class TradeConfig {

    @Bean
    Materia materia() {
        return Materia.shipped();
    }

    @Bean
    Planner planner(Materia materia) {
        return new Planner(materia);
    }

    @Bean
    Care care(Materia materia) {
        return new Care(materia);
    }

    /** To the millisecond: finer than anybody confirms, and the database gives back exactly what it was given. */
    @Bean
    Clock clock() {
        return Clock.tickMillis(ZoneOffset.UTC);
    }
}
