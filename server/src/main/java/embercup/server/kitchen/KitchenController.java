package embercup.server.kitchen;

import embercup.server.kitchen.KitchenSheet.BurnerDraft;
import embercup.server.kitchen.KitchenSheet.BurnerSheet;
import embercup.server.kitchen.KitchenSheet.PlaceDraft;
import embercup.server.kitchen.KitchenSheet.VesselDraft;
import embercup.server.kitchen.KitchenSheet.VesselSheet;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/kitchen")
class KitchenController {

    private final Kitchens kitchens;

    KitchenController(Kitchens kitchens) {
        this.kitchens = kitchens;
    }

    @GetMapping
    KitchenSheet kitchen() {
        return kitchens.sheet();
    }

    @PutMapping
    KitchenSheet changeKitchen(@RequestBody PlaceDraft draft) {
        return kitchens.change(draft);
    }

    /** Answers a question on which schools differ for the whole household; without a choice each tradition answers again. */
    @PutMapping("/schools/{question}")
    Map<String, String> holdTo(@PathVariable String question, @RequestBody KitchenSheet.SchoolDraft draft) {
        return kitchens.holdTo(question, draft.choice());
    }

    @PostMapping("/vessels")
    @ResponseStatus(HttpStatus.CREATED)
    VesselSheet addVessel(@RequestBody VesselDraft draft) {
        return kitchens.addVessel(draft);
    }

    @PutMapping("/vessels/{id}")
    VesselSheet changeVessel(@PathVariable UUID id, @RequestBody VesselDraft draft) {
        return kitchens.changeVessel(id, draft);
    }

    @DeleteMapping("/vessels/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeVessel(@PathVariable UUID id) {
        kitchens.removeVessel(id);
    }

    @PostMapping("/burners")
    @ResponseStatus(HttpStatus.CREATED)
    BurnerSheet addBurner(@RequestBody BurnerDraft draft) {
        return kitchens.addBurner(draft);
    }

    @PutMapping("/burners/{id}")
    BurnerSheet changeBurner(@PathVariable UUID id, @RequestBody BurnerDraft draft) {
        return kitchens.changeBurner(id, draft);
    }

    /** What two measurements say of a burner. Keeps nothing. */
    @PostMapping("/burners/{id}/calibrate")
    KitchenSheet.CalibrationSheet calibrate(@PathVariable UUID id, @RequestBody KitchenSheet.CalibrationDraft draft) {
        return kitchens.calibrate(id, draft);
    }

    @DeleteMapping("/burners/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeBurner(@PathVariable UUID id) {
        kitchens.removeBurner(id);
    }
}
