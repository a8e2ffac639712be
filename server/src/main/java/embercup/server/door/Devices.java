package embercup.server.door;

import embercup.core.workings.Length;
import embercup.server.door.Audit.What;
import embercup.server.platform.Digest;
import embercup.server.platform.Fields;
import embercup.server.platform.Ids;
import embercup.server.platform.RefusedException;
import embercup.server.platform.StreamSubscribers;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Devices of the house that were let in, and how they are let in and sent away. */
@Service
class Devices {

    /** So long a code lives. */
    static final Duration CODE_LIVES = Duration.ofMinutes(2);

    /** Wrong codes from one address, and from all of them, in a while; after them nobody is heard until it is over. */
    private static final int WRONG_FROM_ONE = 5;

    private static final int WRONG_FROM_ALL = 40;
    private static final Duration WHILE = Duration.ofMinutes(10);
    private static final int DIGITS = 1_000_000;

    record Device(UUID id, long version, String name, String role, Instant pairedAt, Instant seenAt) {}

    /** @param code six digits, said once and kept nowhere */
    record Code(String code, String role, Instant expiresAt) {}

    private final DeviceRepository devices;
    private final CodeRepository codes;
    private final Audit audit;
    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final JdbcClient jdbc;
    private final StreamSubscribers subscribers;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    Devices(
            DeviceRepository devices,
            CodeRepository codes,
            Audit audit,
            FindByIndexNameSessionRepository<? extends Session> sessions,
            JdbcClient jdbc,
            StreamSubscribers subscribers,
            Clock clock) {
        this.devices = devices;
        this.codes = codes;
        this.audit = audit;
        this.sessions = sessions;
        this.jdbc = jdbc;
        this.subscribers = subscribers;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    List<Device> all() {
        return devices.findAllByOrderByPairedAtAscIdAsc().stream()
                .map(Devices::device)
                .toList();
    }

    /** A code for one device, for two minutes. */
    @Transactional
    Code code(Role role, String address) {
        Instant now = clock.instant();
        codes.deleteByExpiresAtBefore(now.minus(Duration.ofDays(1)));
        String code = "%06d".formatted(random.nextInt(DIGITS));
        CodeEntity e = new CodeEntity();
        e.id = Ids.next(clock.millis());
        e.digest = Digest.of(code);
        e.role = Fields.code(role);
        e.expiresAt = now.plus(CODE_LIVES);
        codes.save(e);
        audit.write(What.CODE_MADE, address, null, null);
        return new Code(code, e.role, e.expiresAt);
    }

    /**
     * Lets a device in by its code.
     *
     * @throws RefusedException 401 when the code is wrong, late or was used, 429 after too many of them
     */
    @Transactional
    Device pair(@Nullable String code, @Nullable String name, String address) {
        String called = Fields.text(name, "name", Length.SHORT_NAME);
        Instant now = clock.instant();
        Instant since = now.minus(WHILE);
        if (audit.since(What.CODE_WRONG, address, since) >= WRONG_FROM_ONE
                || audit.since(What.CODE_WRONG, since) >= WRONG_FROM_ALL) {
            audit.knock(What.TOO_MANY_CODES, address);
            throw RefusedException.of(
                    HttpStatus.TOO_MANY_REQUESTS, "too-many-codes", Map.of("minutes", WHILE.toMinutes()));
        }
        String digits = code == null ? "" : code.replaceAll("\\D", "");
        CodeEntity e = codes.living(Digest.of(digits), now).orElse(null);
        if (e == null) {
            audit.write(What.CODE_WRONG, address, null, null);
            throw RefusedException.of(HttpStatus.UNAUTHORIZED, "wrong-code", Map.of());
        }
        e.usedAt = now;
        DeviceEntity device = new DeviceEntity();
        device.id = Ids.next(clock.millis());
        device.name = called;
        device.role = e.role;
        device.pairedAt = now;
        device.seenAt = now;
        Device let = device(devices.saveAndFlush(device));
        audit.write(What.PAIRED, address, device.id, called);
        return let;
    }

    /** The device of a session, which was here just now. @throws RefusedException 404 when it was sent away */
    @Transactional
    Device seen(UUID id) {
        DeviceEntity e = entity(id);
        if (e.seenAt.plusSeconds(60).isBefore(clock.instant())) {
            e.seenAt = clock.instant();
            devices.saveAndFlush(e);
        }
        return device(e);
    }

    /** @throws RefusedException 409 with the device as kept when the version is not the newest */
    @Transactional
    Device rename(UUID id, @Nullable Long version, @Nullable String name, String address) {
        DeviceEntity e = entity(id);
        RefusedException.unlessNewest(version, e.version, "device", () -> device(e));
        e.name = Fields.text(name, "name", Length.SHORT_NAME);
        audit.write(What.RENAMED, address, id, e.name);
        return device(devices.saveAndFlush(e));
    }

    /** Sends a device away: its sessions end, and what it has open is closed. */
    @Transactional
    void revoke(UUID id, String address) {
        DeviceEntity e = entity(id);
        sessions.findByPrincipalName(id.toString()).keySet().forEach(sessions::deleteById);
        devices.delete(e);
        jdbc.sql("select pg_notify(:channel, :id)")
                .param("channel", StreamSubscribers.DEVICE_GONE)
                .param("id", id.toString())
                .query()
                .listOfRows();
        subscribers.dismissOwned(id.toString());
        audit.write(What.REVOKED, address, id, e.name);
    }

    @Transactional
    void revokeAll(String address) {
        devices.findAllByOrderByPairedAtAscIdAsc().forEach(e -> revoke(e.id, address));
    }

    private DeviceEntity entity(UUID id) {
        return devices.findById(id).orElseThrow(() -> RefusedException.notFound("device", id));
    }

    private static Device device(DeviceEntity e) {
        return new Device(e.id, Objects.requireNonNullElse(e.version, 0L), e.name, e.role, e.pairedAt, e.seenAt);
    }
}
