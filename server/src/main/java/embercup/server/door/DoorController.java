package embercup.server.door;

import embercup.core.workings.Length;
import embercup.server.platform.CodeOf;
import embercup.server.platform.Fields;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.AuthorityUtils;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The door: who is in, who is let in, who is sent away. */
@RestController
@RequestMapping("/api/door")
class DoorController {

    private final Devices devices;
    private final Audit audit;
    private final HouseNetwork network;

    DoorController(Devices devices, Audit audit, HouseNetwork network) {
        this.devices = devices;
        this.audit = audit;
        this.network = network;
    }

    /**
     * Who asks.
     *
     * @param role "cook" or "helper"
     * @param here whether it is this machine itself, which needs no pairing
     * @param network how others of the house come in; missing while it is open to this machine only
     */
    record Me(
            String role,
            boolean here,
            Devices.@Nullable Device device,
            @Nullable NetworkLine network) {}

    /**
     * @param address where a phone of the house finds it
     * @param qr the address as a QR code: rows of "1" for dark and "0" for light
     * @param fingerprint of the certificate authority of this kitchen, SHA-256
     */
    record NetworkLine(String address, List<String> addresses, List<String> qr, String fingerprint) {}

    record CodeRequest(@CodeOf(Role.class) @Nullable String role) {}

    record PairRequest(
            @Size(max = Length.CODE) @Nullable String code,
            @Size(max = Length.SHORT_NAME) @Nullable String name) {}

    record RenameRequest(
            @Nullable Long version,
            @Size(max = Length.SHORT_NAME) @Nullable String name) {}

    @GetMapping("/me")
    Me me(Authentication who, HttpServletRequest request) {
        // Asked for, the token is sent along as a cookie, which the page's own script says back.
        if (request.getAttribute(CsrfToken.class.getName()) instanceof CsrfToken token) {
            token.getToken();
        }
        boolean here = who.getName().equals(LoopbackFilter.HERE);
        return new Me(
                Fields.code(LoopbackFilter.role(who)),
                here,
                here ? null : devices.seen(UUID.fromString(who.getName())),
                network.line());
    }

    /** A code that lets one device in, for two minutes. */
    @PostMapping("/codes")
    @ResponseStatus(HttpStatus.CREATED)
    Devices.Code makeCode(@Valid @RequestBody CodeRequest ask, HttpServletRequest request) {
        return devices.code(Fields.oneOf(Role.class, ask.role(), "role"), request.getRemoteAddr());
    }

    /** Lets this device in by a code. */
    @PostMapping("/pair")
    Devices.Device pair(@Valid @RequestBody PairRequest ask, HttpServletRequest request, HttpServletResponse response) {
        Devices.Device device = devices.pair(ask.code(), ask.name(), request.getRemoteAddr());
        if (request.getSession(false) != null) {
            request.getSession(false).invalidate();
        }
        SecurityContext in = SecurityContextHolder.createEmptyContext();
        in.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                device.id().toString(),
                null,
                AuthorityUtils.createAuthorityList("ROLE_" + device.role().toUpperCase(java.util.Locale.ROOT))));
        request.getSession(true);
        new HttpSessionSecurityContextRepository().saveContext(in, request, response);
        return device;
    }

    @GetMapping("/devices")
    List<Devices.Device> devices() {
        return devices.all();
    }

    @PutMapping("/devices/{id}")
    Devices.Device renameDevice(
            @PathVariable UUID id, @Valid @RequestBody RenameRequest ask, HttpServletRequest request) {
        return devices.rename(id, ask.version(), ask.name(), request.getRemoteAddr());
    }

    @DeleteMapping("/devices/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void revokeDevice(@PathVariable UUID id, HttpServletRequest request) {
        devices.revoke(id, request.getRemoteAddr());
    }

    @DeleteMapping("/devices")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void revokeDevices(HttpServletRequest request) {
        devices.revokeAll(request.getRemoteAddr());
    }

    /** What happened at the door, the newest first. */
    @GetMapping("/audit")
    List<Audit.Line> audit() {
        return audit.newest();
    }
}
