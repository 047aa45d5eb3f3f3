package lobrik.server.network;

import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;

/** Why Lobrik cannot be reached from other devices, in one sentence for whoever starts it. */
final class CannotShare extends RuntimeException {

    private static final long serialVersionUID = 1L;

    CannotShare(String why) {
        super(why);
    }

    CannotShare(String why, Throwable cause) {
        super(why, cause);
    }

    /** Has the sentence said instead of a trace. */
    static final class Analyzer extends AbstractFailureAnalyzer<CannotShare> {

        @Override
        protected FailureAnalysis analyze(Throwable rootFailure, CannotShare cause) {
            return new FailureAnalysis(String.valueOf(cause.getMessage()), null, cause);
        }
    }
}
