package lobrik.server.inside;

import io.micrometer.core.instrument.MeterRegistry;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import net.ttddyy.dsproxy.ExecutionInfo;
import net.ttddyy.dsproxy.QueryInfo;
import net.ttddyy.dsproxy.listener.QueryExecutionListener;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Names the questions to the database that take long: by the method that asked, with their text, in which values are question marks. What
 * was asked for stands nowhere.
 */
@Component
class SlowQuestions implements QueryExecutionListener {

    private static final Logger LOG = LoggerFactory.getLogger(SlowQuestions.class);
    private static final String OURS = "lobrik.server.";

    /** On the way from who asks to here. */
    private static final Set<String> BETWEEN =
            Set.of(SlowQuestions.class.getName(), "lobrik.server.platform.RowsOfASchool");

    private static final int LONGEST_TEXT = 300;

    private final ObjectProvider<MeterRegistry> meters;
    private final long slowMillis;

    SlowQuestions(ObjectProvider<MeterRegistry> meters, @Value("${lobrik.slow-question-millis}") long slowMillis) {
        this.meters = meters;
        this.slowMillis = slowMillis;
    }

    @Override
    public void beforeQuery(ExecutionInfo execution, List<QueryInfo> questions) {}

    @Override
    public void afterQuery(ExecutionInfo execution, List<QueryInfo> questions) {
        if (execution.getElapsedTime() < slowMillis) {
            return;
        }
        String asker = asker().orElse("The framework");
        meters.ifAvailable(registry ->
                registry.counter("lobrik.questions.slow", "asked.by", asker).increment());
        LOG.warn("{} took {} ms for: {}", asker, execution.getElapsedTime(), text(questions));
    }

    private static Optional<String> asker() {
        return StackWalker.getInstance()
                .walk(frames -> frames.filter(frame -> frame.getClassName().startsWith(OURS)
                                && BETWEEN.stream().noneMatch(frame.getClassName()::startsWith))
                        .map(SlowQuestions::named)
                        .findFirst());
    }

    /** The class without its package, and the method, also where it is asked in a block of it. */
    private static String named(StackWalker.StackFrame frame) {
        String type = frame.getClassName();
        return type.substring(type.lastIndexOf('.') + 1).replaceAll("\\$.*", "")
                + "."
                + frame.getMethodName().replaceAll("^lambda\\$(\\w+)\\$\\d+$", "$1");
    }

    private static String text(List<QueryInfo> questions) {
        String text = questions.isEmpty() ? "" : questions.getFirst().getQuery().replaceAll("\\s+", " ");
        return text.length() <= LONGEST_TEXT ? text : text.substring(0, LONGEST_TEXT) + "…";
    }
}
