package embercup.server.platform;

import com.fasterxml.jackson.annotation.Nulls;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How documents are read off the wire, whatever they are of. */
@Configuration
class WireConfig {

    /** A list has no holes: {@code [null]} is refused where it stands, before anything is made of it. */
    @Bean
    JsonMapperBuilderCustomizer noNullsInLists() {
        return builder -> builder.changeDefaultNullHandling(n -> n.withContentNulls(Nulls.FAIL));
    }
}
