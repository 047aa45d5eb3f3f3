package lobrik.server.platform;

import java.time.Instant;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lobrik.fault.Refused;
import lobrik.measure.RefusedText;
import lobrik.wire.FaultAnswer;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.slf4j.MDC;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;

/**
 * Turns everything that can go wrong into {@code application/problem+json} (RFC 9457) with
 * {@code errors: [{pointer, code, message}]}.
 */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {

    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    @ExceptionHandler
    ProblemDetail refused(Refused refused) {
        HttpStatus status = refused.isWellFormed() ? HttpStatus.UNPROCESSABLE_CONTENT : HttpStatus.BAD_REQUEST;
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, String.valueOf(refused.getMessage()));
        problem.setTitle(refused.isWellFormed() ? "This cannot be laid out" : "Some inputs are not good");
        problem.setProperty(
                "errors", refused.faults().stream().map(FaultAnswer::of).toList());
        return problem;
    }

    @ExceptionHandler
    ProblemDetail refusedText(RefusedText refused) {
        ProblemDetail problem =
                ProblemDetail.forStatusAndDetail(HttpStatus.BAD_REQUEST, String.valueOf(refused.getMessage()));
        problem.setTitle("This cannot be read");
        Map<String, Object> error = new LinkedHashMap<>(error("/text", code(refused), refused.getMessage()));
        error.put("position", refused.position());
        refused.suggestion().ifPresent(meant -> error.put("suggestion", meant));
        problem.setProperty("errors", List.of(error));
        return problem;
    }

    @ExceptionHandler
    ProblemDetail turnedDown(TurnedDown turnedDown) {
        ProblemDetail problem =
                ProblemDetail.forStatusAndDetail(turnedDown.status(), String.valueOf(turnedDown.getMessage()));
        problem.setProperty(
                "errors", turnedDown.errors().stream().map(Problems::error).toList());
        return problem;
    }

    @ExceptionHandler
    ProblemDetail wrongInTheAddress(MethodArgumentTypeMismatchException mismatch) {
        String code;
        String what;
        if (mismatch.getRequiredType() == LocalDate.class) {
            code = "not-a-day";
            what = "no day that can be meant; give one such as 2026-11-28";
        } else if (mismatch.getRequiredType() == Instant.class) {
            code = "not-a-time";
            what = "no time that can be meant; give one such as 2026-11-28T10:00:00Z";
        } else {
            code = "not-an-id";
            what = "not an id";
        }
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(
                HttpStatus.BAD_REQUEST, "“" + mismatch.getName() + "” in the address is " + what);
        problem.setProperty("errors", List.of(error("", code, problem.getDetail())));
        return problem;
    }

    /** Whatever came from below, or nobody foresaw: that is logged with its trace, and told without it. */
    @ExceptionHandler
    ResponseEntity<ProblemDetail> unforeseen(RuntimeException failure) {
        return told(Failures.known(failure).orElseGet(() -> {
            LOG.error("A request failed in a way nobody foresaw", failure);
            return Failures.broken(MDC.get(Requests.ID));
        }));
    }

    private static ResponseEntity<ProblemDetail> told(Failures.Told told) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(told.status(), told.message());
        problem.setProperty("errors", List.of(error("", told.code(), told.message())));
        ResponseEntity.BodyBuilder answer = ResponseEntity.status(told.status());
        if (told.passes()) {
            answer.header(HttpHeaders.RETRY_AFTER, Failures.RETRY_AFTER_S);
        }
        return answer.body(problem);
    }

    @Override
    protected @Nullable ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException failure, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        Optional<Failures.Told> slow = Failures.known(failure);
        if (slow.isPresent()) {
            ResponseEntity<ProblemDetail> told = told(slow.get());
            return handleExceptionInternal(failure, told.getBody(), told.getHeaders(), told.getStatusCode(), request);
        }
        Map<String, Object> error = unreadable(failure.getCause());
        ProblemDetail problem =
                ProblemDetail.forStatusAndDetail(HttpStatus.BAD_REQUEST, String.valueOf(error.get("message")));
        problem.setTitle("This cannot be read");
        problem.setProperty("errors", List.of(error));
        return handleExceptionInternal(failure, problem, headers, HttpStatus.BAD_REQUEST, request);
    }

    private static Map<String, Object> unreadable(@Nullable Throwable cause) {
        return cause instanceof JacksonException failure
                ? error(UnreadableJson.of(failure))
                : error("", "not-json", "there is no readable body");
    }

    private static Map<String, Object> error(InputError wrong) {
        Map<String, Object> error = error(wrong.pointer(), wrong.code(), wrong.message());
        if (wrong.line() != null) {
            error.put("line", wrong.line());
        }
        return error;
    }

    private static Map<String, Object> error(String pointer, String code, @Nullable String message) {
        Map<String, Object> error = new LinkedHashMap<>();
        error.put("pointer", pointer);
        error.put("code", code);
        error.put("message", String.valueOf(message));
        return error;
    }

    private static String code(RefusedText refused) {
        return refused.reason().name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
    }
}
