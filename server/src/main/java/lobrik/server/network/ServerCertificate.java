package lobrik.server.network;

import java.io.IOException;
import java.net.InetAddress;
import java.nio.file.AccessDeniedException;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.PrivateKey;
import java.security.Signature;
import java.security.cert.CertificateParsingException;
import java.security.cert.X509Certificate;
import java.security.interfaces.ECKey;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What the server shows to browsers: in two files, for its secure door.
 *
 * @param chain in {@code certificateFile}, the server's own first
 * @param authority whose certificate devices have to be told to trust; null if it is the school's and they do already
 */
record ServerCertificate(
        Path certificateFile,
        Path keyFile,
        List<X509Certificate> chain,
        @Nullable X509Certificate authority) {

    /** A new one is made so long before one ends. */
    private static final Duration RENEWED_BEFORE = Duration.ofDays(30);

    private static final int DNS_NAME = 2;
    private static final int IP_ADDRESS = 7;

    ServerCertificate {
        chain = List.copyOf(chain);
    }

    /**
     * One of our own authority: the one that is kept in the folder if it still says what it must, else a new one.
     *
     * @throws CannotShare if the folder cannot be read or written
     */
    static ServerCertificate ofOurAuthority(Path folder, String hostName, List<InetAddress> addresses, Instant now) {
        Path certificateFile = folder.resolve("server.crt");
        Path keyFile = folder.resolve("server.key");
        try {
            OwnAuthority authority = OwnAuthority.in(folder, now, addresses);
            Set<String> wanted = Stream.concat(
                            Stream.of(hostName),
                            LanAddresses.texts(addresses.stream()
                                    .filter(authority::mayVouchFor)
                                    .toList()))
                    .collect(Collectors.toSet());
            Optional<ServerCertificate> kept = kept(certificateFile, keyFile)
                    .filter(each -> each.names().equals(wanted)
                            && each.endsAt().isAfter(now.plus(RENEWED_BEFORE))
                            && each.chain().getLast().equals(authority.issuer()));
            if (kept.isPresent()) {
                return new ServerCertificate(
                        certificateFile, keyFile, kept.get().chain(), authority.certificate());
            }
            OwnAuthority.Issued issued = authority.issue(hostName, addresses, now);
            PemFiles.write(keyFile, issued.key());
            PemFiles.write(certificateFile, issued.chain());
            return new ServerCertificate(certificateFile, keyFile, issued.chain(), authority.certificate());
        } catch (IOException e) {
            throw new CannotShare("The certificates in " + folder + " cannot be read or made: " + e.getMessage(), e);
        }
    }

    private static Optional<ServerCertificate> kept(Path certificateFile, Path keyFile) {
        try {
            List<X509Certificate> chain = PemFiles.certificates(certificateFile);
            return isKeyOf(chain.getFirst(), PemFiles.key(keyFile))
                    ? Optional.of(new ServerCertificate(certificateFile, keyFile, chain, null))
                    : Optional.empty();
        } catch (IOException none) {
            return Optional.empty();
        }
    }

    /**
     * One that the school has from an authority which its devices trust.
     *
     * @throws CannotShare if it cannot be used, and why
     */
    static ServerCertificate ofTheSchool(Path certificateFile, Path keyFile, Instant now) {
        List<X509Certificate> chain;
        try {
            chain = PemFiles.certificates(certificateFile);
        } catch (IOException e) {
            throw new CannotShare("The certificate in " + certificateFile + " cannot be used: " + why(e), e);
        }
        PrivateKey key;
        try {
            key = PemFiles.key(keyFile);
        } catch (IOException e) {
            throw new CannotShare("The key in " + keyFile + " cannot be used: " + why(e), e);
        }
        ServerCertificate given = new ServerCertificate(certificateFile, keyFile, chain, null);
        if (!isKeyOf(chain.getFirst(), key)) {
            throw new CannotShare("The key in " + keyFile + " does not belong to the certificate in " + certificateFile
                    + "; the server's own certificate must be the first in that file");
        }
        if (!given.endsAt().isAfter(now)) {
            throw new CannotShare("The certificate in " + certificateFile + " ended at " + given.endsAt()
                    + "; give a new one, or leave it out to use one of Lobrik's own");
        }
        if (given.names().isEmpty()) {
            throw new CannotShare("The certificate in " + certificateFile
                    + " names no host (browsers read only its alternative names); give one that does");
        }
        return given;
    }

    private static String why(IOException e) {
        return e instanceof NoSuchFileException
                ? "there is no such file"
                : e instanceof AccessDeniedException ? "the server may not read it" : String.valueOf(e.getMessage());
    }

    /** Whether one undoes what the other does. */
    private static boolean isKeyOf(X509Certificate certificate, PrivateKey key) {
        String with = key instanceof ECKey ? "SHA256withECDSA" : "SHA256withRSA";
        try {
            byte[] said = certificate.getSerialNumber().toByteArray();
            Signature sign = Signature.getInstance(with);
            sign.initSign(key);
            sign.update(said);
            byte[] signed = sign.sign();
            sign.initVerify(certificate.getPublicKey());
            sign.update(said);
            return sign.verify(signed);
        } catch (GeneralSecurityException notEvenOfOneKind) {
            return false;
        }
    }

    Instant endsAt() {
        return chain.getFirst().getNotAfter().toInstant();
    }

    /** Names and addresses that it vouches for, sorted. */
    Set<String> names() {
        try {
            Collection<List<?>> all = chain.getFirst().getSubjectAlternativeNames();
            return all == null
                    ? Set.of()
                    : all.stream()
                            .filter(each -> Objects.equals(each.getFirst(), DNS_NAME)
                                    || Objects.equals(each.getFirst(), IP_ADDRESS))
                            .map(each -> String.valueOf(each.get(1)))
                            .collect(Collectors.toCollection(TreeSet::new));
        } catch (CertificateParsingException e) {
            return Set.of();
        }
    }

    /** Whether it is the school's, so that every device may be told never to ask without it again. */
    boolean isTheSchools() {
        return authority == null;
    }
}
