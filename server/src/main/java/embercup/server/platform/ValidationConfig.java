package embercup.server.platform;

import jakarta.validation.Path;
import jakarta.validation.TraversableResolver;
import java.lang.annotation.ElementType;
import org.hibernate.validator.HibernateValidatorConfiguration;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.validation.autoconfigure.ValidationConfigurationCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Only records of the wire are validated: there is nothing that the database has not loaded yet, which would be asked at every field. */
@Configuration
class ValidationConfig {

    @Bean
    ValidationConfigurationCustomizer everythingIsThere() {
        return validation -> validation
                .traversableResolver(new Everything())
                .addProperty(HibernateValidatorConfiguration.ENABLE_TRAVERSABLE_RESOLVER_RESULT_CACHE, "false");
    }

    private static final class Everything implements TraversableResolver {
        @Override
        public boolean isReachable(@Nullable Object of, Path.Node at, Class<?> root, Path path, ElementType element) {
            return true;
        }

        @Override
        public boolean isCascadable(@Nullable Object of, Path.Node at, Class<?> root, Path path, ElementType element) {
            return true;
        }
    }
}
