package lobrik.server.platform;

import com.fasterxml.jackson.annotation.Nulls;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.Temporal;
import java.util.function.UnaryOperator;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.format.FormatterRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.KeyDeserializer;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.deser.jdk.StringDeserializer;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.deser.std.StdScalarDeserializer;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.ext.javatime.deser.InstantDeserializer;
import tools.jackson.databind.ext.javatime.deser.LocalDateDeserializer;
import tools.jackson.databind.module.SimpleModule;

/**
 * What comes in can be kept and shown: texts are Unicode without NUL (PostgreSQL keeps no others), days and times are of years
 * that a school may see, and no list or table has holes.
 */
@Configuration
class CleanJson implements WebMvcConfigurer {

    static final int FIRST_YEAR = 1900;
    static final int LAST_YEAR = 2999;

    @Bean
    JsonMapperBuilderCustomizer cleanValues() {
        SimpleModule module = new SimpleModule("clean");
        module.addDeserializer(String.class, new CleanText());
        module.addKeyDeserializer(String.class, new CleanKey());
        module.addDeserializer(
                Instant.class, new OfOurTime<>(Instant.class, InstantDeserializer.INSTANT, CleanJson::ofOurTime));
        module.addDeserializer(
                LocalDate.class,
                new OfOurTime<>(LocalDate.class, LocalDateDeserializer.INSTANCE, CleanJson::ofOurTime));
        return builder ->
                builder.addModule(module).changeDefaultNullHandling(nulls -> nulls.withContentNulls(Nulls.FAIL));
    }

    /** Days and times in addresses too. */
    @Override
    public void addFormatters(FormatterRegistry registry) {
        registry.addConverter(String.class, Instant.class, text -> ofOurTime(Instant.parse(text)));
        registry.addConverter(String.class, LocalDate.class, text -> ofOurTime(LocalDate.parse(text)));
    }

    private static boolean isClean(String text) {
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == 0 || Character.isLowSurrogate(c)) {
                return false;
            }
            if (Character.isHighSurrogate(c)) {
                i++;
                if (i == text.length() || !Character.isLowSurrogate(text.charAt(i))) {
                    return false;
                }
            }
        }
        return true;
    }

    private static LocalDate ofOurTime(LocalDate day) {
        if (day.getYear() < FIRST_YEAR || day.getYear() > LAST_YEAR) {
            throw new IllegalArgumentException("the year must be from " + FIRST_YEAR + " to " + LAST_YEAR);
        }
        return day;
    }

    private static Instant ofOurTime(Instant time) {
        var _ = ofOurTime(LocalDate.ofInstant(time, ZoneOffset.UTC));
        return time;
    }

    private static InvalidFormatException unclean(JsonParser parser, Object value, Class<?> type) {
        return InvalidFormatException.from(parser, "not clean", value, type);
    }

    private static final class CleanText extends StdScalarDeserializer<String> {

        CleanText() {
            super(String.class);
        }

        @Override
        public String deserialize(JsonParser parser, DeserializationContext context) {
            String text = StringDeserializer.instance.deserialize(parser, context);
            if (text != null && !isClean(text)) {
                throw unclean(parser, text, String.class);
            }
            return text;
        }
    }

    private static final class CleanKey extends KeyDeserializer {

        @Override
        public Object deserializeKey(String key, DeserializationContext context) {
            return isClean(key) ? key : context.handleWeirdKey(String.class, key, "not clean");
        }
    }

    /** What is of our time; another deserializer reads it. */
    private static final class OfOurTime<T extends Temporal> extends StdDeserializer<T> {

        private final transient ValueDeserializer<T> reader;
        private final transient UnaryOperator<T> check;

        OfOurTime(Class<T> type, ValueDeserializer<T> reader, UnaryOperator<T> check) {
            super(type);
            this.reader = reader;
            this.check = check;
        }

        @Override
        public T deserialize(JsonParser parser, DeserializationContext context) {
            T time = reader.deserialize(parser, context);
            try {
                return check.apply(time);
            } catch (IllegalArgumentException | DateTimeException e) {
                throw unclean(parser, time, handledType());
            }
        }
    }
}
