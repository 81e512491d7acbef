package app.velvetcrock.trust;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.cert.CertificateFactory;
import java.security.cert.X509Certificate;
import java.time.Instant;
import java.util.HexFormat;
import java.util.Locale;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** The authority whose certificate this machine is served by, as the launcher made it. */
@Component
class Authority {

    private final String file;

    /** @param file where its certificate lies; empty where nobody serves by one */
    Authority(@Value("${crock.authority}") String file) {
        this.file = file.strip();
    }

    /** What a phone is handed, and what is compared on both screens before it is trusted. */
    record Handed(byte[] certificate, String fingerprint, Instant ends) {}

    /** @throws IllegalStateException where one is named and cannot be read */
    Optional<Handed> handed() {
        if (file.isEmpty()) {
            return Optional.empty();
        }
        try (InputStream in = Files.newInputStream(Path.of(file))) {
            X509Certificate certificate =
                    (X509Certificate) CertificateFactory.getInstance("X.509").generateCertificate(in);
            byte[] whole = certificate.getEncoded();
            String fingerprint = HexFormat.ofDelimiter(":")
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(whole))
                    .toUpperCase(Locale.ROOT);
            return Optional.of(
                    new Handed(whole, fingerprint, certificate.getNotAfter().toInstant()));
        } catch (IOException | GeneralSecurityException unreadable) {
            throw new IllegalStateException(
                    "CROCK_AUTHORITY is “%s”, where no certificate can be read".formatted(file), unreadable);
        }
    }
}
