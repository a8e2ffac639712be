package embercup.server.door;

import embercup.server.platform.RefusedException;
import io.swagger.v3.oas.annotations.Hidden;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The certificate of this kitchen's authority, for a phone to trust; it is no secret. */
@Hidden
@RestController
class CertificateController {

    private final HouseNetwork network;

    CertificateController(HouseNetwork network) {
        this.network = network;
    }

    @GetMapping(path = "/ember-cup.crt", produces = "application/x-x509-ca-cert")
    ResponseEntity<byte[]> certificate() {
        byte[] certificate = network.certificate();
        if (certificate == null) {
            throw RefusedException.notFound("certificate", "this kitchen");
        }
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noStore())
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"ember-cup.crt\"")
                .body(certificate);
    }
}
