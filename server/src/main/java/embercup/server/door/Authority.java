package embercup.server.door;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.math.BigInteger;
import java.net.InetAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.KeyStore;
import java.security.MessageDigest;
import java.security.PrivateKey;
import java.security.SecureRandom;
import java.security.cert.Certificate;
import java.security.cert.X509Certificate;
import java.security.spec.ECGenParameterSpec;
import java.security.spec.PKCS8EncodedKeySpec;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.Date;
import java.util.HexFormat;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.bouncycastle.asn1.ASN1OctetString;
import org.bouncycastle.asn1.x500.X500Name;
import org.bouncycastle.asn1.x509.BasicConstraints;
import org.bouncycastle.asn1.x509.ExtendedKeyUsage;
import org.bouncycastle.asn1.x509.Extension;
import org.bouncycastle.asn1.x509.GeneralName;
import org.bouncycastle.asn1.x509.GeneralNames;
import org.bouncycastle.asn1.x509.GeneralSubtree;
import org.bouncycastle.asn1.x509.KeyPurposeId;
import org.bouncycastle.asn1.x509.KeyUsage;
import org.bouncycastle.asn1.x509.NameConstraints;
import org.bouncycastle.cert.X509v3CertificateBuilder;
import org.bouncycastle.cert.jcajce.JcaX509CertificateConverter;
import org.bouncycastle.cert.jcajce.JcaX509ExtensionUtils;
import org.bouncycastle.cert.jcajce.JcaX509v3CertificateBuilder;
import org.bouncycastle.openssl.jcajce.JcaPEMWriter;
import org.bouncycastle.operator.OperatorCreationException;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;

/**
 * The certificate authority of one kitchen, kept in its own directory and known to nobody else: made once, for ten years. With it
 * the server's certificate is made, for 90 days and for the addresses that the machine has; it is renewed a month before its end,
 * and when the addresses change. A phone trusts the authority once and never hears of this again.
 */
final class Authority {

    private static final Duration AUTHORITY_LIVES = Duration.ofDays(3650);
    /** Browsers accept no certificate that lives much longer than a year; a short one is renewed so often that it is known to work. */
    private static final Duration SERVER_LIVES = Duration.ofDays(90);

    private static final Duration RENEWED_BEFORE = Duration.ofDays(30);
    /** A phone's clock may be behind. */
    private static final Duration CLOCKS_APART = Duration.ofDays(1);

    static final String PASSWORD = "ember-cup";

    /** Names that no public name server has (RFC 6761, RFC 6762, RFC 8375; "lan" by custom). */
    private static final List<String> LOCAL_NAMES =
            List.of("localhost", "local", "lan", "home.arpa", "internal", "home");

    /** RFC 1918, RFC 3927, RFC 4193, RFC 4291: loopback, private and link-local. */
    private static final List<String> PRIVATE_RANGES = List.of(
            "127.0.0.0/8",
            "10.0.0.0/8",
            "172.16.0.0/12",
            "192.168.0.0/16",
            "169.254.0.0/16",
            "::1/128",
            "fc00::/7",
            "fe80::/10");

    private final Path home;
    private final Clock clock;
    private final PrivateKey key;
    private final X509Certificate certificate;

    private Authority(Path home, Clock clock, PrivateKey key, X509Certificate certificate) {
        this.home = home;
        this.clock = clock;
        this.key = key;
        this.certificate = certificate;
    }

    /**
     * The authority that is kept there, or a new one.
     *
     * @param home directory of its own; made for its owner alone when it is missing
     * @param names of this machine, for which a new authority may sign besides those of any house
     * @throws UncheckedIOException when it cannot be written or read
     */
    static Authority in(Path home, Clock clock, Set<String> names) {
        try {
            if (!Files.isDirectory(home)) {
                Files.createDirectories(home.toAbsolutePath().getParent());
                Files.createDirectory(
                        home, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwx------")));
            }
            Path keyFile = home.resolve("authority.key");
            Path certificateFile = home.resolve("authority.crt");
            if (Files.exists(keyFile) && Files.exists(certificateFile)) {
                return new Authority(home, clock, readKey(keyFile), readCertificate(certificateFile));
            }
            KeyPair pair = newPair();
            Instant now = clock.instant();
            X500Name name = new X500Name(
                    "CN=Ember Cup of this kitchen " + HexFormat.of().formatHex(random(3)));
            JcaX509v3CertificateBuilder builder = new JcaX509v3CertificateBuilder(
                    name,
                    serial(),
                    Date.from(now.minus(CLOCKS_APART)),
                    Date.from(now.plus(AUTHORITY_LIVES)),
                    name,
                    pair.getPublic());
            builder.addExtension(Extension.basicConstraints, true, new BasicConstraints(0));
            builder.addExtension(Extension.keyUsage, true, new KeyUsage(KeyUsage.keyCertSign | KeyUsage.cRLSign));
            builder.addExtension(Extension.nameConstraints, true, ofThisHouse(names));
            builder.addExtension(
                    Extension.subjectKeyIdentifier,
                    false,
                    new JcaX509ExtensionUtils().createSubjectKeyIdentifier(pair.getPublic()));
            X509Certificate made = signed(builder, pair.getPrivate());
            // The key first: with the certificate both are whole.
            write(keyFile, pem(pair.getPrivate()).getBytes(StandardCharsets.US_ASCII));
            write(certificateFile, pem(made).getBytes(StandardCharsets.US_ASCII));
            return new Authority(home, clock, pair.getPrivate(), made);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (GeneralSecurityException | OperatorCreationException e) {
            throw new IllegalStateException(e);
        }
    }

    /**
     * What it may sign for (RFC 5280, 4.2.1.10): names of a house and addresses that no public network has, so that whoever steals its key
     * pretends to be no website.
     */
    private static NameConstraints ofThisHouse(Set<String> names) {
        List<GeneralSubtree> all = new ArrayList<>();
        Set<String> own = new LinkedHashSet<>(LOCAL_NAMES);
        own.addAll(names);
        for (String name : own) {
            all.add(new GeneralSubtree(new GeneralName(GeneralName.dNSName, name)));
        }
        for (String range : PRIVATE_RANGES) {
            all.add(new GeneralSubtree(new GeneralName(GeneralName.iPAddress, range)));
        }
        return new NameConstraints(all.toArray(new GeneralSubtree[0]), null);
    }

    /** Names that it may sign for, each with all below it; empty for an authority of an earlier version, which may for any. */
    private Optional<List<String>> permitted() {
        byte[] said = certificate.getExtensionValue(Extension.nameConstraints.getId());
        if (said == null) {
            return Optional.empty();
        }
        NameConstraints constraints =
                NameConstraints.getInstance(ASN1OctetString.getInstance(said).getOctets());
        return Optional.of(Arrays.stream(constraints.getPermittedSubtrees())
                .map(GeneralSubtree::getBase)
                .filter(n -> n.getTagNo() == GeneralName.dNSName)
                .map(n -> n.getName().toString())
                .toList());
    }

    /** Of some names those that it may sign for. */
    private List<String> ofHouse(Set<String> names) {
        Optional<List<String>> permitted = permitted();
        return names.stream()
                .filter(n -> permitted
                        .map(all -> all.stream().anyMatch(l -> n.equals(l) || n.endsWith("." + l)))
                        .orElse(true))
                .toList();
    }

    /** Of some addresses those that it may sign for: of no public network. */
    private List<InetAddress> ofHouseAt(Set<InetAddress> addresses) {
        boolean any = permitted().isEmpty();
        return addresses.stream()
                .filter(a -> any
                        || a.isLoopbackAddress()
                        || a.isSiteLocalAddress()
                        || a.isLinkLocalAddress()
                        || a.getAddress().length == 16 && (a.getAddress()[0] & 0xfe) == 0xfc)
                .toList();
    }

    X509Certificate certificate() {
        return certificate;
    }

    /** As a phone shows it: SHA-256 in pairs of hexadecimal digits. */
    String fingerprint() {
        try {
            return HexFormat.ofDelimiter(":")
                    .withUpperCase()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(certificate.getEncoded()));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    /**
     * The key store of the server, made anew when there is none, when it ends within a month, or when it does not name every address.
     *
     * @param names host names, @param addresses of this machine
     * @return whether it was made anew
     */
    boolean renew(Set<String> names, Set<InetAddress> addresses) {
        Path store = keyStore();
        try {
            if (Files.exists(store) && good(store, names, addresses)) {
                return false;
            }
            KeyPair pair = newPair();
            Instant now = clock.instant();
            JcaX509v3CertificateBuilder builder = new JcaX509v3CertificateBuilder(
                    certificate,
                    serial(),
                    Date.from(now.minus(CLOCKS_APART)),
                    Date.from(now.plus(SERVER_LIVES)),
                    new X500Name("CN=Ember Cup"),
                    pair.getPublic());
            List<GeneralName> all = new ArrayList<>();
            ofHouse(names).forEach(n -> all.add(new GeneralName(GeneralName.dNSName, n)));
            ofHouseAt(addresses).forEach(a -> all.add(new GeneralName(GeneralName.iPAddress, literal(a))));
            builder.addExtension(
                    Extension.subjectAlternativeName, false, new GeneralNames(all.toArray(new GeneralName[0])));
            builder.addExtension(Extension.basicConstraints, true, new BasicConstraints(false));
            builder.addExtension(Extension.keyUsage, true, new KeyUsage(KeyUsage.digitalSignature));
            builder.addExtension(
                    Extension.extendedKeyUsage, false, new ExtendedKeyUsage(KeyPurposeId.id_kp_serverAuth));
            JcaX509ExtensionUtils ids = new JcaX509ExtensionUtils();
            builder.addExtension(
                    Extension.authorityKeyIdentifier, false, ids.createAuthorityKeyIdentifier(certificate));
            X509Certificate made = signed(builder, key);
            KeyStore keys = KeyStore.getInstance("PKCS12");
            keys.load(null, null);
            keys.setKeyEntry(
                    "server", pair.getPrivate(), PASSWORD.toCharArray(), new Certificate[] {made, certificate});
            Path fresh = home.resolve("server.p12.new");
            write(fresh, new byte[0]);
            try (var out = Files.newOutputStream(fresh)) {
                keys.store(out, PASSWORD.toCharArray());
            }
            Files.move(fresh, store, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
            return true;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (GeneralSecurityException | OperatorCreationException e) {
            throw new IllegalStateException(e);
        }
    }

    Path keyStore() {
        return home.resolve("server.p12");
    }

    private boolean good(Path store, Set<String> names, Set<InetAddress> addresses)
            throws IOException, GeneralSecurityException {
        KeyStore keys = KeyStore.getInstance("PKCS12");
        try (var in = Files.newInputStream(store)) {
            keys.load(in, PASSWORD.toCharArray());
        } catch (IOException e) {
            // Cut short, or of another kitchen: it is made anew.
            return false;
        }
        if (!(keys.getCertificate("server") instanceof X509Certificate old)
                || clock.instant()
                        .plus(RENEWED_BEFORE)
                        .isAfter(old.getNotAfter().toInstant())) {
            return false;
        }
        try {
            old.verify(certificate.getPublicKey());
        } catch (GeneralSecurityException e) {
            return false;
        }
        List<String> said = old.getSubjectAlternativeNames() == null
                ? List.of()
                : old.getSubjectAlternativeNames().stream()
                        .map(a -> String.valueOf(a.get(1)))
                        .toList();
        return said.containsAll(ofHouse(names))
                && ofHouseAt(addresses).stream().allMatch(a -> said.contains(literal(a)));
    }

    private static String literal(InetAddress address) {
        String said = address.getHostAddress();
        int scope = said.indexOf('%');
        return scope < 0 ? said : said.substring(0, scope);
    }

    private static KeyPair newPair() throws GeneralSecurityException {
        KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
        generator.initialize(new ECGenParameterSpec("secp256r1"));
        return generator.generateKeyPair();
    }

    private static X509Certificate signed(X509v3CertificateBuilder builder, PrivateKey by)
            throws OperatorCreationException, GeneralSecurityException {
        return new JcaX509CertificateConverter()
                .getCertificate(builder.build(new JcaContentSignerBuilder("SHA256withECDSA").build(by)));
    }

    private static BigInteger serial() {
        return new BigInteger(1, random(16));
    }

    private static byte[] random(int bytes) {
        byte[] random = new byte[bytes];
        new SecureRandom().nextBytes(random);
        return random;
    }

    private static String pem(Object of) throws IOException {
        StringWriter text = new StringWriter();
        try (JcaPEMWriter pem = new JcaPEMWriter(text)) {
            pem.writeObject(
                    of instanceof PrivateKey k
                            ? new org.bouncycastle.util.io.pem.PemObject("PRIVATE KEY", k.getEncoded())
                            : of);
        }
        return text.toString();
    }

    private static PrivateKey readKey(Path file) throws IOException, GeneralSecurityException {
        String body = Files.readString(file).replaceAll("-----[^-]+-----|\\s", "");
        return KeyFactory.getInstance("EC")
                .generatePrivate(new PKCS8EncodedKeySpec(Base64.getDecoder().decode(body)));
    }

    private static X509Certificate readCertificate(Path file) throws IOException, GeneralSecurityException {
        try (var in = Files.newInputStream(file)) {
            return (X509Certificate)
                    java.security.cert.CertificateFactory.getInstance("X.509").generateCertificate(in);
        }
    }

    /** A file for its owner alone, whole or not at all. */
    private static void write(Path file, byte[] bytes) throws IOException {
        Path fresh = file.resolveSibling(file.getFileName() + ".tmp");
        Files.deleteIfExists(fresh);
        Files.createFile(fresh, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        Files.write(fresh, bytes);
        Files.move(fresh, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
    }
}
