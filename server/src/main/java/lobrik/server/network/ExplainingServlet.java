package lobrik.server.network;

import jakarta.servlet.http.HttpServlet;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.cert.CertificateEncodingException;
import java.security.cert.X509Certificate;
import java.util.function.Supplier;

/** The page that explains, its style and the certificate. Whoever asks for anything else, or sends anything, is led to the page. */
final class ExplainingServlet extends HttpServlet {

    private static final long serialVersionUID = 1L;
    private static final String PAGE = "/";
    private static final String STYLE = "/style.css";
    private static final String CERTIFICATE = "/lobrik.crt";

    private final transient Supplier<ExplainingPage> told;

    ExplainingServlet(Supplier<ExplainingPage> told) {
        this.told = told;
    }

    @Override
    protected void service(HttpServletRequest request, HttpServletResponse response) throws IOException {
        response.setHeader(
                "Content-Security-Policy",
                "default-src 'none'; style-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'");
        response.setHeader("X-Content-Type-Options", "nosniff");
        response.setHeader("Referrer-Policy", "no-referrer");
        response.setHeader("Cache-Control", "no-store");
        ExplainingPage page = told.get();
        X509Certificate authority = page.authority();
        boolean reads = request.getMethod().equals("GET") || request.getMethod().equals("HEAD");
        String path = request.getRequestURI();
        if (authority == null) {
            // Every device knows the certificate already.
            response.setStatus(HttpServletResponse.SC_MOVED_PERMANENTLY);
            response.setHeader("Location", page.addresses().getFirst() + (reads ? path : PAGE));
        } else if (reads && path.equals(PAGE)) {
            send(response, "text/html", page.html());
        } else if (reads && path.equals(STYLE)) {
            send(response, "text/css", ExplainingPage.STYLE);
        } else if (reads && path.equals(CERTIFICATE)) {
            response.setContentType("application/x-x509-ca-cert");
            response.setHeader("Content-Disposition", "attachment; filename=\"lobrik.crt\"");
            response.getOutputStream().write(encoded(authority));
        } else {
            response.setStatus(HttpServletResponse.SC_SEE_OTHER);
            response.setHeader("Location", PAGE);
        }
    }

    private static void send(HttpServletResponse response, String type, String text) throws IOException {
        response.setContentType(type);
        response.setCharacterEncoding("UTF-8");
        response.getOutputStream().write(text.getBytes(StandardCharsets.UTF_8));
    }

    private static byte[] encoded(X509Certificate certificate) {
        try {
            return certificate.getEncoded();
        } catch (CertificateEncodingException e) {
            throw new IllegalStateException("A certificate that was read cannot be written", e);
        }
    }
}
