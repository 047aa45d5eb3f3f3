package lobrik.server.network;

import java.io.IOException;
import java.math.BigInteger;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.PrivateKey;
import java.security.PublicKey;
import java.security.SecureRandom;
import java.security.cert.X509Certificate;
import java.security.spec.ECGenParameterSpec;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.Date;
import java.util.List;
import java.util.stream.Stream;
import org.bouncycastle.asn1.DEROctetString;
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
import org.bouncycastle.cert.X509CertificateHolder;
import org.bouncycastle.cert.X509v3CertificateBuilder;
import org.bouncycastle.cert.jcajce.JcaX509CertificateConverter;
import org.bouncycastle.cert.jcajce.JcaX509ExtensionUtils;
import org.bouncycastle.cert.jcajce.JcaX509v3CertificateBuilder;
import org.bouncycastle.operator.OperatorCreationException;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;

/**
 * The authority that a school's own devices are told to trust: made once, on this machine. It can vouch for names that end in
 * {@code .local} and for addresses of networks like a school's, and for nothing else: whoever steals it cannot pass themselves off as
 * a site of the internet to these devices. Not every device holds an authority to what stands in its own certificate, but each holds
 * it to what the one above says (RFC 5280, 6.1): so there are two, and the key of the one that devices trust is forgotten once it has
 * vouched for the other.
 */
final class OwnAuthority {

    /** Long enough that nobody has to go round all devices again while they last. */
    private static final Duration AUTHORITY_LASTS = Duration.ofDays(3650);

    /** Browsers turn down certificates of sites that last longer than 398 days. */
    private static final Duration CERTIFICATE_LASTS = Duration.ofDays(397);

    /** Clocks of devices are not all right. */
    private static final Duration SINCE = Duration.ofDays(2);

    /** Networks that are nobody's on the internet: address and mask, RFC 1918, 3927 and 1122. */
    private static final List<String> PRIVATE_NETWORKS = List.of(
            "10.0.0.0/255.0.0.0", "172.16.0.0/255.240.0.0", "192.168.0.0/255.255.0.0", "169.254.0.0/255.255.0.0");

    private static final String SIGNED_WITH = "SHA256withECDSA";
    private static final int SERIAL_BITS = 120;
    private static final SecureRandom CHANCE = new SecureRandom();

    private final X509Certificate certificate;
    private final X509Certificate issuer;
    private final PrivateKey key;

    private OwnAuthority(List<X509Certificate> both, PrivateKey key) {
        this.certificate = both.getFirst();
        this.issuer = both.getLast();
        this.key = key;
    }

    /**
     * The one that is kept in a folder; made and kept there if there is none.
     *
     * @param now on the server's clock
     * @param addresses of this machine: it may vouch for these, too, should they not be of a private network
     * @throws IOException if the folder cannot be read or written, or what is in it is damaged
     */
    static OwnAuthority in(Path folder, Instant now, List<InetAddress> addresses) throws IOException {
        Path certificateFile = folder.resolve("authority.crt");
        Path keyFile = folder.resolve("authority.key");
        try {
            if (Files.exists(certificateFile) && Files.exists(keyFile)) {
                return new OwnAuthority(PemFiles.certificates(certificateFile), PemFiles.key(keyFile));
            }
            KeyPair forgotten = pair();
            KeyPair pair = pair();
            List<X509Certificate> made = make(forgotten, pair.getPublic(), now, addresses);
            PemFiles.write(keyFile, pair.getPrivate());
            // Last: with it the two are whole.
            PemFiles.write(certificateFile, made);
            return new OwnAuthority(made, pair.getPrivate());
        } catch (GeneralSecurityException | OperatorCreationException e) {
            throw new IOException("no authority could be made", e);
        }
    }

    /** What devices are told to trust. */
    X509Certificate certificate() {
        return certificate;
    }

    /** What stands between that and what a server shows. */
    X509Certificate issuer() {
        return issuer;
    }

    /**
     * A certificate of this authority with the key that belongs to it.
     *
     * @param chain the certificate, and the one that vouches for it before the eyes of the one that is trusted
     */
    record Issued(List<X509Certificate> chain, PrivateKey key) {

        Issued {
            chain = List.copyOf(chain);
        }
    }

    /**
     * Vouches for a name and for those of the addresses that it may vouch for.
     *
     * @throws IOException if that fails
     */
    Issued issue(String hostName, List<InetAddress> addresses, Instant now) throws IOException {
        try {
            KeyPair pair = pair();
            X509v3CertificateBuilder builder = new JcaX509v3CertificateBuilder(
                    X500Name.getInstance(issuer.getSubjectX500Principal().getEncoded()),
                    serial(),
                    Date.from(now.minus(SINCE)),
                    Date.from(now.plus(CERTIFICATE_LASTS)),
                    new X500Name("CN=" + hostName),
                    pair.getPublic());
            JcaX509ExtensionUtils ids = new JcaX509ExtensionUtils();
            builder.addExtension(Extension.basicConstraints, true, new BasicConstraints(false));
            builder.addExtension(Extension.keyUsage, true, new KeyUsage(KeyUsage.digitalSignature));
            builder.addExtension(
                    Extension.extendedKeyUsage, false, new ExtendedKeyUsage(KeyPurposeId.id_kp_serverAuth));
            builder.addExtension(
                    Extension.subjectKeyIdentifier, false, ids.createSubjectKeyIdentifier(pair.getPublic()));
            builder.addExtension(Extension.authorityKeyIdentifier, false, ids.createAuthorityKeyIdentifier(issuer));
            GeneralName[] names = Stream.concat(
                            Stream.of(new GeneralName(GeneralName.dNSName, hostName)),
                            addresses.stream()
                                    .filter(this::mayVouchFor)
                                    .map(address -> new GeneralName(
                                            GeneralName.iPAddress, new DEROctetString(address.getAddress()))))
                    .toArray(GeneralName[]::new);
            builder.addExtension(Extension.subjectAlternativeName, false, new GeneralNames(names));
            return new Issued(List.of(signed(builder, key), issuer), pair.getPrivate());
        } catch (GeneralSecurityException | OperatorCreationException e) {
            throw new IOException("no certificate could be made", e);
        }
    }

    /** Whether devices believe it what it says of this address. */
    boolean mayVouchFor(InetAddress address) {
        Extension constraints = holder().getExtension(Extension.nameConstraints);
        return constraints != null
                && Arrays.stream(NameConstraints.getInstance(constraints.getParsedValue())
                                .getPermittedSubtrees())
                        .map(GeneralSubtree::getBase)
                        .filter(base -> base.getTagNo() == GeneralName.iPAddress)
                        .anyMatch(base -> isWithin(
                                address.getAddress(),
                                DEROctetString.getInstance(base.getName()).getOctets()));
    }

    private X509CertificateHolder holder() {
        try {
            return new X509CertificateHolder(issuer.getEncoded());
        } catch (IOException | GeneralSecurityException e) {
            throw new IllegalStateException("A certificate that was read cannot be written", e);
        }
    }

    /** A network is as many bytes of an address and then of its mask. */
    private static boolean isWithin(byte[] address, byte[] network) {
        if (network.length != 2 * address.length) {
            return false;
        }
        for (int i = 0; i < address.length; i++) {
            if (((address[i] ^ network[i]) & network[address.length + i]) != 0) {
                return false;
            }
        }
        return true;
    }

    /** The one that devices trust, and the one that it vouches for. */
    private static List<X509Certificate> make(
            KeyPair forgotten, PublicKey issuers, Instant now, List<InetAddress> addresses)
            throws GeneralSecurityException, OperatorCreationException, IOException {
        // Two schools' authorities on one tablet are told apart by this.
        String mark = Long.toString(CHANCE.nextLong(36L * 36 * 36 * 36), 36);
        X500Name trusted = new X500Name("CN=Lobrik in this school (" + mark + ")");
        X500Name issuer = new X500Name("CN=Lobrik in this school (" + mark + ") on its server");
        NameConstraints within = new NameConstraints(permitted(addresses), null);
        return List.of(
                authority(trusted, trusted, forgotten.getPublic(), 1, within, now, forgotten),
                authority(trusted, issuer, issuers, 0, within, now, forgotten));
    }

    private static X509Certificate authority(
            X500Name by, X500Name of, PublicKey key, int below, NameConstraints within, Instant now, KeyPair signer)
            throws GeneralSecurityException, OperatorCreationException, IOException {
        X509v3CertificateBuilder builder = new JcaX509v3CertificateBuilder(
                by, serial(), Date.from(now.minus(SINCE)), Date.from(now.plus(AUTHORITY_LASTS)), of, key);
        JcaX509ExtensionUtils ids = new JcaX509ExtensionUtils();
        builder.addExtension(Extension.basicConstraints, true, new BasicConstraints(below));
        builder.addExtension(Extension.keyUsage, true, new KeyUsage(KeyUsage.keyCertSign | KeyUsage.cRLSign));
        builder.addExtension(Extension.subjectKeyIdentifier, false, ids.createSubjectKeyIdentifier(key));
        builder.addExtension(
                Extension.authorityKeyIdentifier, false, ids.createAuthorityKeyIdentifier(signer.getPublic()));
        builder.addExtension(Extension.nameConstraints, true, within);
        return signed(builder, signer.getPrivate());
    }

    private static GeneralSubtree[] permitted(List<InetAddress> addresses) throws UnknownHostException {
        Stream.Builder<GeneralSubtree> permitted = Stream.builder();
        permitted.add(new GeneralSubtree(new GeneralName(GeneralName.dNSName, "local")));
        for (String network : PRIVATE_NETWORKS) {
            String[] parts = network.split("/", -1);
            permitted.add(network(
                    InetAddress.getByName(parts[0]).getAddress(),
                    InetAddress.getByName(parts[1]).getAddress()));
        }
        for (InetAddress address : addresses) {
            byte[] all = new byte[address.getAddress().length];
            Arrays.fill(all, (byte) 0xff);
            permitted.add(network(address.getAddress(), all));
        }
        return permitted.build().toArray(GeneralSubtree[]::new);
    }

    private static GeneralSubtree network(byte[] address, byte[] mask) {
        byte[] both = Arrays.copyOf(address, address.length + mask.length);
        System.arraycopy(mask, 0, both, address.length, mask.length);
        return new GeneralSubtree(new GeneralName(GeneralName.iPAddress, new DEROctetString(both)));
    }

    private static KeyPair pair() throws GeneralSecurityException {
        KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
        generator.initialize(new ECGenParameterSpec("secp256r1"), CHANCE);
        return generator.generateKeyPair();
    }

    private static BigInteger serial() {
        return new BigInteger(SERIAL_BITS, CHANCE).setBit(SERIAL_BITS);
    }

    private static X509Certificate signed(X509v3CertificateBuilder builder, PrivateKey by)
            throws GeneralSecurityException, OperatorCreationException {
        return new JcaX509CertificateConverter()
                .getCertificate(builder.build(new JcaContentSignerBuilder(SIGNED_WITH).build(by)));
    }
}
