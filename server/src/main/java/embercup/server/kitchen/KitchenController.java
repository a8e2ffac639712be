package embercup.server.kitchen;

import embercup.server.kitchen.KitchenResponse.BurnerRequest;
import embercup.server.kitchen.KitchenResponse.BurnerResponse;
import embercup.server.kitchen.KitchenResponse.PlaceRequest;
import embercup.server.kitchen.KitchenResponse.VesselRequest;
import embercup.server.kitchen.KitchenResponse.VesselResponse;
import jakarta.validation.Valid;
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
    KitchenResponse kitchen() {
        return kitchens.sheet();
    }

    @PutMapping
    KitchenResponse changeKitchen(@Valid @RequestBody PlaceRequest draft) {
        return kitchens.change(draft);
    }

    /** Answers a question on which schools differ for the whole household; without a choice each tradition answers again. */
    @PutMapping("/schools/{question}")
    Map<String, String> holdTo(@PathVariable String question, @Valid @RequestBody KitchenResponse.SchoolRequest draft) {
        return kitchens.holdTo(question, draft.choice());
    }

    @PostMapping("/vessels")
    @ResponseStatus(HttpStatus.CREATED)
    VesselResponse addVessel(@Valid @RequestBody VesselRequest draft) {
        return kitchens.addVessel(draft);
    }

    @PutMapping("/vessels/{id}")
    VesselResponse changeVessel(@PathVariable UUID id, @Valid @RequestBody VesselRequest draft) {
        return kitchens.changeVessel(id, draft);
    }

    @DeleteMapping("/vessels/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeVessel(@PathVariable UUID id) {
        kitchens.removeVessel(id);
    }

    @PostMapping("/burners")
    @ResponseStatus(HttpStatus.CREATED)
    BurnerResponse addBurner(@Valid @RequestBody BurnerRequest draft) {
        return kitchens.addBurner(draft);
    }

    @PutMapping("/burners/{id}")
    BurnerResponse changeBurner(@PathVariable UUID id, @Valid @RequestBody BurnerRequest draft) {
        return kitchens.changeBurner(id, draft);
    }

    /** What two measurements say of a burner. Keeps nothing. */
    @PostMapping("/burners/{id}/calibrate")
    KitchenResponse.CalibrationResponse calibrate(
            @PathVariable UUID id, @Valid @RequestBody KitchenResponse.CalibrationRequest draft) {
        return kitchens.calibrate(id, draft);
    }

    @DeleteMapping("/burners/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeBurner(@PathVariable UUID id) {
        kitchens.removeBurner(id);
    }
}
