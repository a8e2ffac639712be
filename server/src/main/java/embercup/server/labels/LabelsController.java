package embercup.server.labels;

import embercup.core.workings.Limit;
import embercup.core.workings.Wanted.Need;
import embercup.server.platform.Fields;
import embercup.server.platform.HouseWords;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Labels for what is kept, to be printed. */
@RestController
@RequestMapping("/api/labels.pdf")
class LabelsController {

    private final Labels labels;

    LabelsController(Labels labels) {
        this.labels = labels;
    }

    /**
     * Labels as a PDF: black on white, each 62 × 35 mm.
     *
     * @param jar brews whose rest is in a jar, or that stand in one for weeks
     * @param tin tins of the shelf
     * @param blend blends of the house, by their slugs
     * @param everything all jars and all tins there are, beside what is named
     * @param paper {@code a4}, {@code letter} or {@code roll}
     * @param copies of each
     * @param skip places of the first sheet that are used already
     */
    @GetMapping(produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> labels(
            @RequestParam(required = false) @Nullable List<UUID> jar,
            @RequestParam(required = false) @Nullable List<UUID> tin,
            @RequestParam(required = false) @Nullable List<String> blend,
            @RequestParam(defaultValue = "false") boolean everything,
            @RequestParam(defaultValue = "a4") String paper,
            @RequestParam(defaultValue = "1") int copies,
            @RequestParam(defaultValue = "0") int skip) {
        Paper on = Fields.oneOf(Paper.class, paper, "paper");
        Fields.within(copies, "copies", Limit.LABEL_COPIES);
        Fields.within(skip, "skip", Limit.LABELS_USED);
        List<Label> wanted = new ArrayList<>(labels.of(some(jar), some(tin), some(blend)));
        if (everything) {
            wanted.addAll(labels.ofEverything());
        }
        List<Label> all = wanted.stream()
                .flatMap(l -> Collections.nCopies(copies, l).stream())
                .toList();
        Fields.need(all.isEmpty() ? null : all, "jar", Need.LABEL_OF);
        Fields.within(all.size(), "copies", Limit.LABELS);
        String origin =
                ServletUriComponentsBuilder.fromCurrentContextPath().build().toUriString();
        try (LabelSheet sheet = new LabelSheet(on, origin, HouseWords.words().sentence("label.more", Map.of()))) {
            return ResponseEntity.ok()
                    .contentType(MediaType.APPLICATION_PDF)
                    .header("X-Content-Type-Options", "nosniff")
                    .header(
                            HttpHeaders.CONTENT_DISPOSITION,
                            ContentDisposition.inline()
                                    .filename("labels.pdf")
                                    .build()
                                    .toString())
                    .body(sheet.drawn(all, skip));
        }
    }

    private static <T> List<T> some(@Nullable List<T> all) {
        return all == null ? List.of() : all;
    }
}
