package lobrik.server.inside;

import io.micrometer.core.instrument.MeterRegistry;
import java.util.List;
import java.util.Optional;
import javax.sql.DataSource;
import net.ttddyy.dsproxy.ExecutionInfo;
import net.ttddyy.dsproxy.QueryInfo;
import net.ttddyy.dsproxy.listener.QueryExecutionListener;
import net.ttddyy.dsproxy.support.ProxyDataSourceBuilder;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * Names the questions to the database that take long: by the method that asked, with their text, in which values are question marks. What
 * was asked for stands nowhere.
 */
@Configuration
class SlowQuestions {

    private static final Logger LOG = LoggerFactory.getLogger(SlowQuestions.class);
    private static final String OURS = "lobrik.server.";
    private static final int LONGEST_TEXT = 300;

    /** Around the pool, inside of whatever else is. */
    @Bean
    static BeanPostProcessor watchedPool(
            ObjectProvider<MeterRegistry> registry, @Value("${lobrik.slow-question-millis:250}") long slowMillis) {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessBeforeInitialization(Object bean, String name) {
                return bean;
            }

            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof DataSource pool && name.equals("dataSource")
                        ? ProxyDataSourceBuilder.create(pool)
                                .name("pool")
                                .listener(new Watch(registry, slowMillis))
                                .build()
                        : bean;
            }
        };
    }

    private record Watch(ObjectProvider<MeterRegistry> registry, long slowMillis) implements QueryExecutionListener {

        @Override
        public void beforeQuery(ExecutionInfo execution, List<QueryInfo> questions) {}

        @Override
        public void afterQuery(ExecutionInfo execution, List<QueryInfo> questions) {
            if (execution.getElapsedTime() < slowMillis) {
                return;
            }
            String asker = asker().orElse("the framework");
            registry.ifAvailable(meters ->
                    meters.counter("lobrik.questions.slow", "asked.by", asker).increment());
            LOG.warn("{} took {} ms for: {}", asker, execution.getElapsedTime(), text(questions));
        }

        private static Optional<String> asker() {
            return StackWalker.getInstance()
                    .walk(frames -> frames.filter(frame -> frame.getClassName().startsWith(OURS)
                                    && !frame.getClassName().startsWith(SlowQuestions.class.getName()))
                            .map(frame -> frame.getClassName()
                                            .substring(frame.getClassName().lastIndexOf('.') + 1)
                                            .replaceAll("\\$.*", "")
                                    + "." + frame.getMethodName().replaceAll("^lambda\\$(\\w+)\\$\\d+$", "$1"))
                            .findFirst());
        }

        private static String text(List<QueryInfo> questions) {
            String text =
                    questions.isEmpty() ? "" : questions.getFirst().getQuery().replaceAll("\\s+", " ");
            return text.length() <= LONGEST_TEXT ? text : text.substring(0, LONGEST_TEXT) + "…";
        }
    }
}
