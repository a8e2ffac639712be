package embercup.server.door;

import embercup.server.door.DoorController.NetworkLine;
import embercup.server.platform.QrCode;
import java.net.Inet4Address;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.net.UnknownHostException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.apache.catalina.connector.Connector;
import org.apache.coyote.http11.AbstractHttp11Protocol;
import org.apache.tomcat.util.net.SSLHostConfig;
import org.apache.tomcat.util.net.SSLHostConfigCertificate;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * The way in from the house's network: one more port, over HTTPS alone, with a certificate of this kitchen's own authority. It is
 * there only when it is asked for ({@code ember.kitchen}).
 */
@Component
class HouseNetwork implements WebServerFactoryCustomizer<TomcatServletWebServerFactory>, DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(HouseNetwork.class);

    private static final long LOOKED_EVERY_H = 6;

    /** Authenticated encryption alone, with keys of the moment (RFC 9325, 4.2): no CBC. In Tomcat's OpenSSL words. */
    private static final String CIPHERS = "ECDHE+AESGCM:ECDHE+CHACHA20";

    private final boolean open;
    private final int port;
    private final Path home;
    private final Clock clock;
    private final ScheduledExecutorService renewing = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "certificates");
        thread.setDaemon(true);
        return thread;
    });
    private @Nullable Authority authority;
    private @Nullable Connector connector;

    HouseNetwork(
            @Value("${ember.kitchen:false}") boolean open,
            @Value("${ember.kitchen-port:8443}") int port,
            @Value("${ember.home}") Path home,
            Clock clock) {
        this.open = open;
        this.port = port;
        this.home = home;
        this.clock = clock;
    }

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        if (!open) {
            return;
        }
        Authority of = Authority.in(home.resolve("kitchen"), clock, names());
        of.renew(names(), addresses());
        authority = of;
        Connector secure = new Connector();
        secure.setPort(port);
        secure.setScheme("https");
        secure.setSecure(true);
        AbstractHttp11Protocol<?> protocol = (AbstractHttp11Protocol<?>) secure.getProtocolHandler();
        protocol.setSSLEnabled(true);
        protocol.setConnectionTimeout(10_000);
        protocol.setCompression("on");
        protocol.setCompressibleMimeType(
                "text/html,text/css,application/javascript,text/javascript,application/json,image/svg+xml");
        SSLHostConfig ssl = new SSLHostConfig();
        ssl.setProtocols("+TLSv1.2,+TLSv1.3");
        ssl.setCiphers(CIPHERS);
        SSLHostConfigCertificate certificate = new SSLHostConfigCertificate(ssl, SSLHostConfigCertificate.Type.EC);
        certificate.setCertificateKeystoreFile(of.keyStore().toString());
        certificate.setCertificateKeystorePassword(Authority.PASSWORD);
        certificate.setCertificateKeystoreType("PKCS12");
        ssl.addCertificate(certificate);
        secure.addSslHostConfig(ssl);
        connector = secure;
        factory.addAdditionalConnectors(secure);
        renewing.scheduleWithFixedDelay(this::renew, LOOKED_EVERY_H, LOOKED_EVERY_H, TimeUnit.HOURS);
    }

    /** A new certificate when the old one comes to its end or the machine has another address; who is connected stays so. */
    private void renew() {
        Authority of = authority;
        Connector secure = connector;
        try {
            if (of != null && secure != null && of.renew(names(), addresses())) {
                ((AbstractHttp11Protocol<?>) secure.getProtocolHandler()).reloadSslHostConfigs();
                LOG.info("The kitchen's certificate was renewed");
            }
        } catch (RuntimeException e) {
            LOG.warn("The kitchen's certificate could not be renewed", e);
        }
    }

    /** Whether a name is one of this machine, for whoever comes in by the house's network. */
    boolean called(String name) {
        if (!open) {
            return false;
        }
        String bare = name.startsWith("[") && name.endsWith("]") ? name.substring(1, name.length() - 1) : name;
        return names().contains(bare)
                || addresses().stream()
                        .anyMatch(a -> a.getHostAddress().split("%")[0].equals(bare));
    }

    /** How others of the house come in; null while it is open to this machine alone. */
    @Nullable
    NetworkLine line() {
        Authority of = authority;
        if (of == null) {
            return null;
        }
        List<String> all = new ArrayList<>();
        addresses().stream()
                .filter(a -> a instanceof Inet4Address && !a.isLoopbackAddress())
                .forEach(a -> all.add("https://" + a.getHostAddress() + ":" + actualPort()));
        names().stream().filter(n -> n.endsWith(".local")).forEach(n -> all.add("https://" + n + ":" + actualPort()));
        String first = all.isEmpty() ? "https://localhost:" + actualPort() : all.get(0);
        return new NetworkLine(first, all, QrCode.of(first).orElseThrow(), of.fingerprint());
    }

    byte @Nullable [] certificate() {
        try {
            Authority of = authority;
            return of == null ? null : of.certificate().getEncoded();
        } catch (java.security.cert.CertificateEncodingException e) {
            throw new IllegalStateException(e);
        }
    }

    private int actualPort() {
        Connector secure = connector;
        return secure == null ? port : secure.getLocalPort();
    }

    /** What a phone needs, for whoever reads the terminal. */
    @EventListener(ApplicationReadyEvent.class)
    void tell() {
        NetworkLine line = line();
        if (line == null) {
            return;
        }
        StringBuilder said = new StringBuilder("\n");
        List<String> rows = line.qr();
        for (int y = 0; y < rows.size(); y += 2) {
            for (int x = 0; x < rows.get(y).length(); x++) {
                boolean upper = rows.get(y).charAt(x) == '1';
                boolean lower = y + 1 < rows.size() && rows.get(y + 1).charAt(x) == '1';
                said.append(upper ? lower ? ' ' : '▄' : lower ? '▀' : '█');
            }
            said.append('\n');
        }
        said.append("""

                The kitchen is open to the house's network: %s
                  1. On the phone, scan the square or type the address. It warns, as it does not know this kitchen yet: go on.
                  2. Open %s/ember-cup.crt and install it as a certificate authority (for websites).
                  3. The phone shows its fingerprint. It must be %s
                  4. Open the address again: no warning any more.
                  5. In Household on this machine, ask for a code, and type it on the phone within two minutes.
                """.formatted(line.address(), line.address(), line.fingerprint()));
        System.out.println(said);
    }

    private static Set<String> names() {
        Set<String> all = new LinkedHashSet<>(List.of("localhost"));
        try {
            String own = InetAddress.getLocalHost().getHostName().toLowerCase(Locale.ROOT);
            if (own.matches("[a-z0-9][a-z0-9.-]*")) {
                all.add(own);
                all.add(own.split("\\.")[0] + ".local");
            }
        } catch (UnknownHostException e) {
            LOG.debug("This machine has no name", e);
        }
        return all;
    }

    private static Set<InetAddress> addresses() {
        Set<InetAddress> all = new LinkedHashSet<>();
        try {
            NetworkInterface.networkInterfaces()
                    .filter(HouseNetwork::up)
                    .flatMap(NetworkInterface::inetAddresses)
                    .filter(a -> !a.isLinkLocalAddress())
                    .forEach(all::add);
        } catch (SocketException e) {
            LOG.debug("The addresses of this machine cannot be read", e);
        }
        return all;
    }

    private static boolean up(NetworkInterface of) {
        try {
            return of.isUp();
        } catch (SocketException e) {
            return false;
        }
    }

    @Override
    public void destroy() {
        renewing.shutdownNow();
    }
}
