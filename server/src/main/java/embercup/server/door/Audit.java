package embercup.server.door;

import embercup.server.platform.Fields;
import embercup.server.platform.Ids;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** What happened at the door: a line for everything that lets in, keeps out or takes away. */
@Service
class Audit {

    private static final Logger LOG = LoggerFactory.getLogger(Audit.class);

    /** The same from the same address is written once in so long, so that nobody fills the disk by knocking. */
    private static final Duration KNOCKS_APART = Duration.ofMinutes(1);

    /** How long a line stays: half a year is enough to ask who had that tablet in spring. */
    static final Duration KEPT = Duration.ofDays(183);

    private static final int REMEMBERED = 10_000;

    /** What can happen. */
    enum What {
        CODE_MADE,
        PAIRED,
        CODE_WRONG,
        TOO_MANY_CODES,
        RENAMED,
        REVOKED,
        SESSION_UNKNOWN,
        NOT_ALLOWED,
        FOREIGN
    }

    /** @param what code of what happened, @param device name of the device, when one is known */
    record Line(
            Instant at,
            String what,
            String address,
            @Nullable String device) {}

    private final AuditRepository repository;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final Map<String, Instant> knocks = new ConcurrentHashMap<>();

    Audit(AuditRepository repository, PlatformTransactionManager transactions, Clock clock) {
        this.repository = repository;
        this.transaction = new TransactionTemplate(transactions);
        this.transaction.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        this.clock = clock;
    }

    /** Kept whatever becomes of the change around it. */
    void write(What what, String address, @Nullable UUID deviceId, @Nullable String deviceName) {
        AuditEntity e = new AuditEntity();
        e.id = Ids.next(clock.millis());
        e.at = clock.instant();
        e.what = Fields.code(what);
        e.address = address;
        e.deviceId = deviceId;
        e.deviceName = deviceName;
        transaction.executeWithoutResult(status -> {
            repository.save(e);
            repository.deleteByAtBefore(e.at.minus(KEPT));
        });
    }

    /** Somebody was kept out; written once a minute for each address, and never a reason to fail. */
    void knock(What what, String address) {
        Instant now = clock.instant();
        Instant last = knocks.get(what + address);
        if (last != null && last.plus(KNOCKS_APART).isAfter(now)) {
            return;
        }
        if (knocks.size() > REMEMBERED) {
            knocks.clear();
        }
        knocks.put(what + address, now);
        try {
            write(what, address, null, null);
        } catch (DataAccessException | TransactionException e) {
            LOG.warn("Could not write down that {} was kept out: {}", address, what);
        }
    }

    /** How often since a moment; a line that a wrong clock stamped ahead of now counts for nothing. */
    long since(What what, Instant moment) {
        return repository.countByWhatAndAtBetween(Fields.code(what), moment, clock.instant());
    }

    /** The same from one address. */
    long since(What what, String address, Instant moment) {
        return repository.countByWhatAndAddressAndAtBetween(Fields.code(what), address, moment, clock.instant());
    }

    @Transactional(readOnly = true)
    List<Line> newest() {
        return repository.findTop100ByOrderByAtDescIdDesc().stream()
                .map(e -> new Line(e.at, e.what, e.address, e.deviceName))
                .toList();
    }
}
