package lobrik.server.platform;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Where the server itself sends what it refuses; whoever asks for that place finds nothing. */
@Hidden
@RestController
class ErrorResource implements ErrorController {

    @RequestMapping("/error")
    void error(HttpServletRequest request, HttpServletResponse response) throws IOException {
        HttpStatus status = status(request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE));
        switch (status) {
            case NOT_FOUND -> SecurityConfiguration.write(response, status, "not-found", "There is nothing here");
            case REQUEST_TIMEOUT ->
                SecurityConfiguration.write(response, status, Failures.SLOW.code(), Failures.SLOW.message());
            default -> SecurityConfiguration.write(response, status, "refused", "This was not understood");
        }
    }

    private static HttpStatus status(@Nullable Object code) {
        HttpStatus status = code instanceof Integer number ? HttpStatus.resolve(number) : null;
        return status == null ? HttpStatus.NOT_FOUND : status;
    }
}
