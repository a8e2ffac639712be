package embercup.bench;

import embercup.core.materia.Materia;
import embercup.core.measure.MeasureCustom;
import embercup.core.reading.Answers;
import embercup.core.reading.Reader;
import embercup.core.reading.Reading;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** What reading a written recipe costs, on one thread. Budget: a page (some 300 words, list and method) under 20 ms. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 4, time = 2)
@Fork(1)
public class ReadBench {

    private static final String PAGE = """
            Winter root and flower tea

            This is the pot that stands on the back of our stove from the first frost on. It is gently warming, a little \
            sweet, and the children like it too. Makes 4 cups. Do not take it if you are pregnant.

            Ingredients
            - 2 tablespoons dried astragalus root, sliced
            - 1 tbsp dried burdock root
            - 2 tsp dried liquorice root (leave it out if your blood pressure is high)
            - 1 stick of cinnamon, broken
            - 3 slices fresh ginger, about 10 g
            - 5 cloves
            - 1 heaped tablespoon dried elderflower
            - 2 teaspoons dried peppermint
            - a small handful of fresh lemon balm, if you have it
            - 1.2 litres cold water
            - honey and lemon to taste

            Method
            1. Put the astragalus, the burdock and the liquorice in a heavy pot with the cold water and let them stand for \
            half an hour before you light the fire.
            2. Bring it slowly to a boil with the lid on, then turn the heat down until the water only just moves, and simmer \
            for 25 to 30 minutes.
            3. Add the cinnamon, the ginger and the cloves. Simmer for another 10 minutes, until about a third of the water is \
            gone.
            4. Take the pot off the fire. Stir in the elderflower, the peppermint and the lemon balm, cover at once, and let \
            everything steep for ten minutes; the scent is the good part and leaves with the steam.
            5. Strain through a fine sieve into a warm jug and press the herbs well with the back of a spoon.
            6. Pour the same herbs over with half a litre of boiling water, simmer for 20 minutes more, strain, and combine \
            both liquids.

            To take
            Drink one cup in the morning and one in the evening, warm, half an hour after a meal, for up to ten days. Sweeten \
            with a spoonful of honey when it has cooled a little. What is left keeps for two days in the fridge; warm it up \
            but do not let it boil again. Stop and ask someone who knows if you feel worse.
            """;

    private final Reader reader = new Reader(Materia.shipped());

    @Benchmark
    public Reading aPage() {
        return reader.read(PAGE, MeasureCustom.DEFAULT, Optional.empty(), Answers.NONE);
    }
}
