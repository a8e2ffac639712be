package embercup.server.platform;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The OpenAPI document: what is not {@link Nullable} is required, and no address of this machine stands in it. */
@Configuration
class OpenApiConfig {

    @Bean
    OpenAPI api() {
        return new OpenAPI()
                .servers(List.of(new Server().url("/")))
                .info(
                        new Info()
                                .title("Ember Cup")
                                .version("1")
                                .description(
                                        "Plans, brews and remembers herbal teas and decoctions. Units stand in the field names."));
    }

    @Bean
    OpenApiCustomizer withoutAddresses() {
        return document -> document.setServers(List.of(new Server().url("/")));
    }

    @Bean
    ModelConverter requiredUnlessNullable() {
        return new RequiredUnlessNullable();
    }

    private static final class RequiredUnlessNullable implements ModelConverter {
        @Override
        public @Nullable Schema<?> resolve(
                AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
            if (!chain.hasNext()) {
                return null;
            }
            Schema<?> schema = chain.next().resolve(type, context, chain);
            JavaType java = Json.mapper().constructType(type.getType());
            if (java != null && java.getRawClass().isRecord() && schema != null) {
                Schema<?> whole = schema.get$ref() == null
                        ? schema
                        : context.getDefinedModels()
                                .get(schema.get$ref().substring(schema.get$ref().lastIndexOf('/') + 1));
                require(java.getRawClass(), whole);
            }
            return schema;
        }

        private static void require(Class<?> type, @Nullable Schema<?> schema) {
            if (schema == null || schema.getProperties() == null) {
                return;
            }
            Arrays.stream(type.getRecordComponents())
                    .filter(c -> !nullable(c))
                    .map(RecordComponent::getName)
                    .filter(n -> schema.getProperties().containsKey(n))
                    .filter(n -> schema.getRequired() == null
                            || !schema.getRequired().contains(n))
                    .forEach(schema::addRequiredItem);
        }

        private static boolean nullable(RecordComponent component) {
            return component.getAnnotatedType().isAnnotationPresent(Nullable.class);
        }
    }
}
