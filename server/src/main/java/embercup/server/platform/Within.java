package embercup.server.platform;

import embercup.core.workings.Limit;
import jakarta.validation.Constraint;
import jakarta.validation.ConstraintValidator;
import jakarta.validation.ConstraintValidatorContext;
import jakarta.validation.Payload;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.util.Collection;
import org.jspecify.annotations.Nullable;

/** A number, or how many there are of something, inside a limit of the core. Nothing at all is inside every limit. */
@Target(ElementType.FIELD)
@Retention(RetentionPolicy.RUNTIME)
@Constraint(validatedBy = {Within.OfNumber.class, Within.OfCount.class})
public @interface Within {

    Limit value();

    String message() default "";

    Class<?>[] groups() default {};

    Class<? extends Payload>[] payload() default {};

    /** A number by its value. */
    class OfNumber implements ConstraintValidator<Within, Number> {

        private Limit limit = Limit.AMOUNT;

        @Override
        public void initialize(Within within) {
            limit = within.value();
        }

        @Override
        public boolean isValid(@Nullable Number value, ConstraintValidatorContext context) {
            return value == null || limit.holds(value.doubleValue());
        }
    }

    /** A list by its length. */
    class OfCount implements ConstraintValidator<Within, Collection<?>> {

        private Limit limit = Limit.AMOUNT;

        @Override
        public void initialize(Within within) {
            limit = within.value();
        }

        @Override
        public boolean isValid(@Nullable Collection<?> all, ConstraintValidatorContext context) {
            return all == null || limit.holds(all.size());
        }
    }
}
