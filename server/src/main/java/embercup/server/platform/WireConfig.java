package embercup.server.platform;

import com.fasterxml.jackson.annotation.Nulls;
import java.time.Instant;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.JacksonModule;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.ext.javatime.deser.InstantDeserializer;
import tools.jackson.databind.module.SimpleModule;

/** How documents are read off the wire, whatever they are of. */
@Configuration
class WireConfig {

    /** A moment that no household could have is refused where it stands. */
    @Bean
    JacksonModule moments() {
        return new SimpleModule("moments").addDeserializer(Instant.class, new ValueDeserializer<>() {
            @Override
            public Instant deserialize(JsonParser from, DeserializationContext context) {
                String said = from.getValueAsString();
                Instant moment = InstantDeserializer.INSTANT.deserialize(from, context);
                if (!Moments.inTime(moment)) {
                    throw InvalidFormatException.from(from, "not in these centuries", said, Instant.class);
                }
                return moment;
            }
        });
    }

    /** A list has no holes: {@code [null]} is refused where it stands, before anything is made of it. */
    @Bean
    JsonMapperBuilderCustomizer noNullsInLists() {
        return builder -> builder.changeDefaultNullHandling(n -> n.withContentNulls(Nulls.FAIL));
    }
}
