package embercup.server.recipes;

import embercup.core.workings.InvalidInputException;
import embercup.core.workings.Length;
import jakarta.validation.Validator;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterInputStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A recipe that carries itself whole in what is given to a friend: beside what any reader understands of a page, as one word at the end
 * of a text, in a link. What comes back is checked like what a page sends; anything else is read like what somebody wrote.
 */
@Component
class WholeRecipe {

    /** Longer words fit no square that a phone still reads from a screen. */
    static final int SMALL = 1500;

    /** Of the shape of what is carried. */
    private static final int VERSION = 1;

    private static final String BEGINS = "ember-cup:";
    private static final Pattern WORD = Pattern.compile("\\bember-cup:([A-Za-z0-9_-]{20,})");
    /** Unpacked, characters: what the longest recipe of a household has. */
    private static final int MOST = 64 * 1024;

    private final JsonMapper json;
    private final Validator validator;

    WholeRecipe(JsonMapper json, Validator validator) {
        this.json = json;
        this.validator = validator;
    }

    /**
     * What is carried.
     *
     * @param version of this shape
     */
    record Carried(
            int version,
            RecipeDocument recipe,
            @Nullable String about,
            @Nullable List<String> purposes) {}

    static Carried carried(RecipeResponse kept) {
        return new Carried(VERSION, kept.recipe(), kept.about(), kept.purposes());
    }

    /** One word: deflated JSON in letters that a link may have. */
    String word(Carried carried) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (DeflaterOutputStream out =
                new DeflaterOutputStream(bytes, new Deflater(Deflater.BEST_COMPRESSION, true))) {
            out.write(json.writeValueAsBytes(carried));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return BEGINS + Base64.getUrlEncoder().withoutPadding().encodeToString(bytes.toByteArray());
    }

    /** The recipe that a text carries; empty when it carries none that can be brewed. */
    Optional<Carried> inText(String text) {
        Matcher word = WORD.matcher(text);
        if (!word.find()) {
            return Optional.empty();
        }
        try (InflaterInputStream in = new InflaterInputStream(
                new ByteArrayInputStream(Base64.getUrlDecoder().decode(word.group(1))),
                new java.util.zip.Inflater(true))) {
            byte[] bytes = in.readNBytes(MOST + 1);
            return bytes.length > MOST
                    ? Optional.empty()
                    : checked(json.readTree(new String(bytes, StandardCharsets.UTF_8)));
        } catch (IOException | IllegalArgumentException | JacksonException e) {
            return Optional.empty();
        }
    }

    /** Why a link that carries a recipe and nothing else gives none. */
    enum Broken {
        /** A messenger cut it off, or a letter of it was changed. */
        CUT_OFF,
        /** A later version wrote it. */
        NEWER
    }

    /** Why a text that is one carrying word and nothing else carries nothing that can be read; empty for any other text. */
    Optional<Broken> broken(String text) {
        String word = text.strip();
        if (!word.startsWith(BEGINS) || word.chars().anyMatch(Character::isWhitespace)) {
            return Optional.empty();
        }
        try (InflaterInputStream in = new InflaterInputStream(
                new ByteArrayInputStream(Base64.getUrlDecoder().decode(word.substring(BEGINS.length()))),
                new java.util.zip.Inflater(true))) {
            JsonNode node = json.readTree(new String(in.readNBytes(MOST + 1), StandardCharsets.UTF_8));
            return Optional.of(node.path("version").asInt(0) > VERSION ? Broken.NEWER : Broken.CUT_OFF);
        } catch (IOException | IllegalArgumentException | JacksonException e) {
            return Optional.of(Broken.CUT_OFF);
        }
    }

    /** What is carried as a document; empty when it is not of this shape, or cannot be brewed. */
    Optional<Carried> checked(JsonNode node) {
        try {
            Carried carried = json.treeToValue(node, Carried.class);
            if (carried == null
                    || carried.version() > VERSION
                    || carried.recipe() == null
                    || !validator.validate(carried.recipe()).isEmpty()) {
                return Optional.empty();
            }
            RecipeFromDocument.read(carried.recipe(), "recipe");
            boolean words = carried.about() == null || carried.about().length() <= Length.ABOUT;
            return words ? Optional.of(carried) : Optional.empty();
        } catch (JacksonException | InvalidInputException e) {
            return Optional.empty();
        }
    }
}
