package embercup.server.brews;

import embercup.server.notebook.Notebook;
import embercup.server.people.PersonTraces;
import embercup.server.platform.RefusedException;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Brews of somebody, and what stands of her in them: her name, and what is minded of her. What was brewed stays. */
@Component
class BrewsOfPerson implements PersonTraces {

    private static final String SOMEBODY = "somebody";
    /** Stands where somebody who was forgotten stood. */
    private static final UUID NOBODY = new UUID(0, 0);

    private static final Set<String> MINDED = Set.of("conditions", "allergies", "dislikes");

    private final BrewRepository brews;
    private final EventRepository events;
    private final Notebook notebook;
    private final JsonMapper json;

    BrewsOfPerson(BrewRepository brews, EventRepository events, Notebook notebook, JsonMapper json) {
        this.events = events;
        this.brews = brews;
        this.notebook = notebook;
        this.json = json;
    }

    @Override
    @Transactional
    public void forget(UUID id, String name) {
        List<BrewEntity> all = brews.ofPerson(id);
        List<String> open =
                all.stream().filter(BrewEntity::open).map(b -> b.name).toList();
        if (!open.isEmpty()) {
            throw RefusedException.of(HttpStatus.CONFLICT, "person-brewing", Map.of("brews", String.join(", ", open)));
        }
        Scrub scrub = new Scrub(name);
        for (BrewEntity b : all) {
            boolean hers = id.equals(b.drinkerId);
            // The kept plan first: it says what was minded then, by which the cautions of the sheet are known.
            b.kept = b.kept == null ? null : json.writeValueAsString(scrub.of(json.readTree(b.kept), hers, id));
            b.request = json.writeValueAsString(scrub.of(json.readTree(b.request), hers, id));
            b.plan = json.writeValueAsString(scrub.of(json.readTree(b.plan), hers, id));
            // Cups that she had of it were somebody's: counted to whom the pot was made for they would be too many for
            // them.
            b.pours = b.pours.replace(id.toString(), NOBODY.toString());
            events.passOn(b.id, id.toString(), NOBODY.toString());
            b.sharers = json.writeValueAsString(scrub.without(json.readTree(b.sharers), id));
            if (hers) {
                b.drinkerId = null;
                b.drinkerName = "";
            }
            brews.saveAndFlush(b);
        }
        notebook.forget(id);
    }

    /** Takes one name out of a document of a brew. */
    private static final class Scrub {

        private final String name;
        private final Pattern word;
        private final Set<String> minded = new HashSet<>();

        Scrub(String name) {
            this.name = name;
            this.word = Pattern.compile("(?<![\\p{L}\\p{N}])" + Pattern.quote(name) + "(?![\\p{L}\\p{N}])");
        }

        JsonNode of(JsonNode document, boolean hers, UUID id) {
            walk(document, hers, false, id);
            return document;
        }

        /** @param other whether it stands below the list of those who drink beside the drinker */
        private void walk(JsonNode node, boolean hers, boolean other, UUID id) {
            if (node instanceof ArrayNode all) {
                all.forEach(n -> walk(n, hers, other, id));
            } else if (node instanceof ObjectNode object) {
                boolean her = hers || other && isHer(object, id);
                for (var field : List.copyOf(object.properties())) {
                    change(object, field.getKey(), field.getValue(), her, other, id);
                    walk(
                            object.get(field.getKey()),
                            her,
                            other || field.getKey().equals("others"),
                            id);
                }
            }
        }

        private boolean isHer(ObjectNode object, UUID id) {
            return says(object.get("name"))
                    || says(object.get("drinkerId"), id.toString())
                    || says(object.get("id"), id.toString());
        }

        private void change(ObjectNode object, String key, JsonNode value, boolean her, boolean other, UUID id) {
            if (key.equals("drinkerName") && says(value)) {
                object.put(key, "");
            } else if (key.equals("drinkerId") && says(value, id.toString())) {
                object.putNull(key);
            } else if (key.equals("drinker") && says(value) || other && key.equals("name") && says(value)) {
                object.put(key, SOMEBODY);
            } else if (key.equals("text") && value.isString()) {
                object.put(key, word.matcher(value.asString()).replaceAll(SOMEBODY));
            } else if (her && MINDED.contains(key) && value.isArray()) {
                value.forEach(v -> minded.add(v.asString()));
                object.putArray(key);
            } else if (key.equals("cautions") && value instanceof ArrayNode all) {
                for (int i = all.size() - 1; i >= 0; i--) {
                    if (tells(all.get(i))) {
                        all.remove(i);
                    }
                }
            }
        }

        /** Whether a caution says what is minded of her. */
        private boolean tells(JsonNode caution) {
            JsonNode code = caution.get("code");
            return code != null && minded.stream().anyMatch(m -> code.asString().contains(m));
        }

        private boolean says(@Nullable JsonNode value) {
            return says(value, name);
        }

        private static boolean says(@Nullable JsonNode value, String text) {
            return value != null && value.isString() && value.asString().equals(text);
        }

        JsonNode without(JsonNode sharers, UUID id) {
            if (sharers instanceof ArrayNode all) {
                for (int i = all.size() - 1; i >= 0; i--) {
                    if (says(all.get(i).get("id"), id.toString())) {
                        all.remove(i);
                    }
                }
            }
            return sharers;
        }
    }
}
