package embercup.server.brews;

import embercup.server.herbs.HerbUses;
import embercup.server.platform.HouseWords;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Brews that wait or burn with a herb in them. */
@Component
class BrewsWithHerb implements HerbUses {

    private final BrewRepository brews;

    BrewsWithHerb(BrewRepository brews) {
        this.brews = brews;
    }

    @Override
    @Transactional(readOnly = true)
    public List<String> usesOf(String slug) {
        return brews.openWith("[\"" + slug + "\"]").stream()
                .map(n -> HouseWords.words().sentence("use.brew", Map.of("name", n)))
                .toList();
    }
}
