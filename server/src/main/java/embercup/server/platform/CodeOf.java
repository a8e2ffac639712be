package embercup.server.platform;

import embercup.core.workings.Code;
import jakarta.validation.Constraint;
import jakarta.validation.ConstraintValidator;
import jakarta.validation.ConstraintValidatorContext;
import jakarta.validation.Payload;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The code of one of a family's constants, such as {@code with-food}. Nothing at all is allowed; whoever needs it says so. */
@Target({ElementType.FIELD, ElementType.TYPE_USE})
@Retention(RetentionPolicy.RUNTIME)
@Constraint(validatedBy = CodeOf.Known.class)
public @interface CodeOf {

    Class<? extends Enum<?>> value();

    /** Codes of the family that are not meant here. */
    String[] except() default {};

    String message() default "";

    Class<?>[] groups() default {};

    Class<? extends Payload>[] payload() default {};

    /** Whether the family has it. */
    class Known implements ConstraintValidator<CodeOf, String> {

        private List<String> codes = List.of();

        @Override
        public void initialize(CodeOf of) {
            codes = codes(of);
        }

        @Override
        public boolean isValid(@Nullable String code, ConstraintValidatorContext context) {
            return code == null || codes.contains(code);
        }

        static List<String> codes(CodeOf of) {
            return Arrays.stream(of.value().getEnumConstants())
                    .map(Code::of)
                    .filter(c -> !Arrays.asList(of.except()).contains(c))
                    .toList();
        }
    }
}
