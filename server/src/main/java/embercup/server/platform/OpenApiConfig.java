package embercup.server.platform;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.databind.JavaType;
import embercup.core.kitchen.Vessel;
import embercup.core.materia.Condition;
import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.measure.Unit;
import embercup.core.recipe.Receiver;
import embercup.core.recipe.StageKind;
import embercup.core.workings.Code;
import embercup.core.workings.Length;
import embercup.core.workings.Limit;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.PathItem;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.Discriminator;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.parameters.RequestBody;
import io.swagger.v3.oas.models.responses.ApiResponse;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.annotation.Annotation;
import java.lang.reflect.RecordComponent;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.PropertyCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The OpenAPI document: what is not {@link Nullable} is required, and no address of this machine stands in it. */
@Configuration
class OpenApiConfig {

    /** Marks the schema of a family until it is written as a union. */
    private static final String FAMILY = "x-family";

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

    /** Pages, pictures and archives are sent as they are, not in base 64. */
    @Bean
    OpenApiCustomizer asTheyAre() {
        return document -> document.getPaths().values().stream()
                .flatMap(path -> path.readOperations().stream())
                .flatMap(o -> Stream.concat(
                        Stream.ofNullable(o.getRequestBody()).map(RequestBody::getContent),
                        o.getResponses().values().stream().map(ApiResponse::getContent)))
                .filter(Objects::nonNull)
                .flatMap(content -> content.values().stream())
                .map(MediaType::getSchema)
                .filter(schema -> schema != null && "byte".equals(schema.getFormat()))
                .forEach(schema -> schema.setFormat("binary"));
    }

    /** Every operation names with what it is refused, as problem documents. */
    @Bean
    OpenApiCustomizer refusals() {
        return document -> {
            Schema<Object> problem = new Schema<>();
            problem.setTypes(Set.of("object"));
            for (String text : List.of("type", "title", "detail")) {
                problem.addProperty(text, typed("string"));
            }
            problem.addProperty("status", typed("integer"));
            Schema<Object> violation = typed("object");
            for (String text : List.of("field", "value", "wanted")) {
                violation.addProperty(text, typed("string"));
            }
            violation.setRequired(List.of("field", "value", "wanted"));
            Schema<Object> violations = typed("array");
            violations.setItems(violation);
            problem.addProperty("violations", violations);
            problem.setRequired(List.of("detail", "status", "title", "type", "violations"));
            document.getComponents().addSchemas("Problem", problem);
            document.getPaths().forEach((path, item) -> item.readOperationsMap()
                    .forEach((method, operation) -> refusals(path, method, operation)
                            .forEach((code, says) -> operation
                                    .getResponses()
                                    .addApiResponse(
                                            code,
                                            new ApiResponse()
                                                    .description(says)
                                                    .content(new Content()
                                                            .addMediaType(
                                                                    "application/problem+json",
                                                                    new MediaType()
                                                                            .schema(new Schema<>()
                                                                                    .$ref("Problem"))))))));
        };
    }

    private static Schema<Object> typed(String type) {
        Schema<Object> schema = new Schema<>();
        schema.setTypes(Set.of(type));
        return schema;
    }

    /** With what an operation is refused, by its address and what it takes. */
    private static Map<String, String> refusals(String path, PathItem.HttpMethod method, Operation operation) {
        Map<String, String> all = new TreeMap<>();
        all.put("400", "The address or the body cannot be read.");
        all.put("401", "The device is not paired.");
        all.put("403", "Another page or another name for this address; or the device may not do this.");
        all.put("503", "The database does not answer, or too many talk at once; it may be tried again.");
        if (path.contains("{")) {
            all.put("404", "There is no such thing.");
        }
        if (operation.getParameters() != null || operation.getRequestBody() != null) {
            all.put("422", "A value is outside what it may be; every one is named.");
        }
        if (method != PathItem.HttpMethod.GET) {
            all.put("409", "It does not go together with what is kept.");
            all.put("507", "The disk is full; nothing is lost.");
        }
        if (operation.getRequestBody() != null) {
            all.put("408", "The body came too slowly.");
            all.put("413", "The body is too large.");
            all.put("415", "The body is of another kind.");
        }
        return all;
    }

    /** A family that is told apart by one of its fields is a union, and each of its members stands for itself. */
    @Bean
    OpenApiCustomizer families() {
        return document -> {
            Map<String, Schema<?>> all = new LinkedHashMap<>();
            document.getComponents().getSchemas().forEach(all::put);
            families(all).forEach((name, type) -> {
                String field = type.getAnnotation(JsonTypeInfo.class).property();
                Discriminator told = new Discriminator().propertyName(field);
                Schema<Object> union = new Schema<>();
                union.setDiscriminator(told);
                for (JsonSubTypes.Type member :
                        type.getAnnotation(JsonSubTypes.class).value()) {
                    String of = member.value().getSimpleName();
                    List<String> names = member.names().length > 0 ? List.of(member.names()) : List.of(member.name());
                    all.put(of, whole(all.get(of), field, names));
                    union.addOneOfItem(new Schema<>().$ref(of));
                    names.forEach(n -> told.mapping(
                            n, union.getOneOf().get(union.getOneOf().size() - 1).get$ref()));
                }
                all.put(name, union);
            });
            all.forEach(document.getComponents()::addSchemas);
        };
    }

    /** The families by the names of their schemas. */
    private static Map<String, Class<?>> families(Map<String, Schema<?>> all) {
        Map<String, Class<?>> families = new TreeMap<>();
        all.forEach((name, schema) -> {
            if (schema.getExtensions() != null && schema.getExtensions().get(FAMILY) instanceof Class<?> type) {
                families.put(name, type);
            }
        });
        return families;
    }

    /** A member with the field that tells it apart, and without what describes it by its family. */
    private static Schema<?> whole(Schema<?> member, String field, List<String> names) {
        Schema<?> own = member.getAllOf() == null
                ? member
                : member.getAllOf().get(member.getAllOf().size() - 1);
        Schema<Object> kind = new Schema<>();
        kind.setTypes(Set.of("string"));
        kind.setEnum(List.copyOf(names));
        own.addProperty(field, kind);
        Set<String> needed = new TreeSet<>(member.getRequired() == null ? List.of() : member.getRequired());
        needed.add(field);
        own.setRequired(List.copyOf(needed));
        return own;
    }

    /** What a field may be stands beside it once, as the constraint that is checked. */
    @Bean
    PropertyCustomizer boundsOfConstraints() {
        return (schema, type) -> {
            for (Annotation rule : type.getCtxAnnotations() == null ? new Annotation[0] : type.getCtxAnnotations()) {
                if (rule instanceof Within within) {
                    bounds(schema, within.value());
                } else if (rule instanceof CodeOf of) {
                    codes(schema, CodeOf.Known.codes(of));
                }
            }
            return schema;
        };
    }

    private static void bounds(Schema<?> schema, Limit limit) {
        if (schema.getItems() != null) {
            schema.minItems((int) limit.low()).maxItems((int) limit.high());
        } else {
            schema.minimum(plain(limit.low())).maximum(plain(limit.high()));
        }
    }

    /** Every range and length of the core, for whoever offers a choice: the interface takes them from here. */
    @Bean
    OpenApiCustomizer limits() {
        return document -> {
            Map<String, Object> ranges = new TreeMap<>();
            for (Limit limit : Limit.values()) {
                ranges.put(limit.name(), Map.of("low", plain(limit.low()), "high", plain(limit.high())));
            }
            document.addExtension("x-limits", ranges);
            document.addExtension("x-lengths", Length.all());
            document.addExtension(
                    "x-stages",
                    Arrays.stream(StageKind.values()).map(OpenApiConfig::stage).toList());
            document.addExtension("x-kinds", kinds());
        };
    }

    /** Every family of kinds that the interface offers or names, with what it may ask of its members. */
    private static Map<String, Object> kinds() {
        Map<String, Object> all = new TreeMap<>();
        all.put("CONDITION", kinds(Condition.values(), Condition::code, c -> Map.of("group", Code.of(c.group()))));
        all.put("CONDITION_GROUP", kinds(Condition.Group.values(), Code::of, g -> Map.of()));
        all.put("CUT", kinds(Cut.values(), Code::of, c -> Map.of()));
        all.put("FORM", kinds(Form.values(), Code::of, f -> Map.of()));
        all.put("RECEIVER", kinds(Receiver.values(), Code::of, r -> Map.of()));
        all.put("UNIT", kinds(Unit.values(), Unit::code, u -> Map.of("everyday", u.everyday())));
        all.put("VESSEL", kinds(Vessel.Kind.values(), Code::of, v -> Map.of()));
        return all;
    }

    private static <K> List<Map<String, Object>> kinds(
            K[] members, Function<K, String> code, Function<K, Map<String, Object>> traits) {
        return Arrays.stream(members)
                .map(member -> {
                    Map<String, Object> said = new TreeMap<>(traits.apply(member));
                    said.put("kind", code.apply(member));
                    return said;
                })
                .toList();
    }

    /** What a kind of stage can do, and what it says when nobody says otherwise; what it does not say is missing. */
    private static Map<String, Object> stage(StageKind kind) {
        Map<String, Object> said = new TreeMap<>();
        StageKind.Usual usual = kind.usual();
        said.put("kind", kind.code());
        usual.minutes().ifPresent(min -> said.put("minutes", plain(min)));
        usual.toMl().ifPresent(ml -> said.put("toMl", plain(ml)));
        usual.toC().ifPresent(c -> said.put("toC", plain(c)));
        usual.flame().ifPresent(flame -> said.put("flame", Fields.code(flame)));
        usual.lid().ifPresent(lid -> said.put("lid", lid));
        said.put("degrees", usual.degrees());
        said.put("heats", kind.heats());
        said.put("infuses", kind.infuses());
        said.put("boils", kind.boils());
        said.put("worked", kind.worked());
        said.put("takesWater", kind.takesWater());
        return said;
    }

    private static BigDecimal plain(double value) {
        return new BigDecimal(BigDecimal.valueOf(value).stripTrailingZeros().toPlainString());
    }

    @SuppressWarnings("unchecked")
    private static void codes(Schema<?> schema, List<String> codes) {
        ((Schema<Object>) schema).setEnum(List.copyOf(codes));
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
            if (java == null || schema == null) {
                return schema;
            }
            Schema<?> whole = whole(schema, context);
            if (java.getRawClass().isAnnotationPresent(JsonSubTypes.class) && whole != null) {
                whole.addExtension(FAMILY, java.getRawClass());
            }
            if (java.getRawClass().isRecord()) {
                require(java.getRawClass(), whole);
            }
            return schema;
        }

        private static @Nullable Schema<?> whole(Schema<?> schema, ModelConverterContext context) {
            String ref = schema.get$ref();
            return ref == null ? schema : context.getDefinedModels().get(ref.substring(ref.lastIndexOf('/') + 1));
        }

        private static void require(Class<?> type, @Nullable Schema<?> schema) {
            if (schema == null || schema.getProperties() == null) {
                return;
            }
            WireRecord.components(type)
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
