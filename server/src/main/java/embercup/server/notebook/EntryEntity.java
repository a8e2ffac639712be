package embercup.server.notebook;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.NullUnmarked;

@Entity
@Table(name = "notebook_entry")
@NullUnmarked
class EntryEntity {

    @Id
    @Column(name = "brew_id")
    UUID brewId;

    @Column(name = "recipe_id")
    UUID recipeId;

    String name;

    @Column(name = "drinker_name")
    String drinkerName;

    @Column(name = "drinker_id")
    UUID drinkerId;

    @Column(name = "brewed_at")
    Instant brewedAt;

    double cups;

    @Column(name = "planned_strength")
    double plannedStrength;

    @Column(name = "predicted_strength")
    double predictedStrength;

    @Column(name = "grams_per_cup")
    double gramsPerCup;

    String phase;
    Integer felt;
    Integer liking;
    String taste;
    String change;
    String colour;
    String clarity;
    String smell;
    String effect;
    String meanwhile;
}
