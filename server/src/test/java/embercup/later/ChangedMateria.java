package embercup.later;

import embercup.core.materia.Cut;
import embercup.core.materia.Form;
import embercup.core.materia.Herb;
import embercup.core.materia.Materia;
import embercup.core.measure.Spread;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;

/** A materia that weighs every herb otherwise: that of a later version of the program. */
@Configuration
public class ChangedMateria {

    @Bean
    @Primary
    Materia later() {
        Materia shipped = Materia.shipped();
        return shipped.with(
                shipped.herbs().stream().map(ChangedMateria::heavier).toList());
    }

    private static Herb heavier(Herb herb) {
        return herb.withOwnWeights(List.of(new Herb.Bulk(Form.DRIED, Cut.CHOPPED, Spread.around(3.7, 0.2), "own")));
    }
}
