package lobrik.server;

import java.security.SecureRandom;
import java.time.Clock;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Starts the server. */
@EnableScheduling
@SpringBootApplication(exclude = UserDetailsServiceAutoConfiguration.class)
public class LobrikApplication {

    /** Runs until stopped; one that is only started to fill a large centre, or a region, ends when that is done. */
    public static void main(String[] arguments) {
        ConfigurableApplicationContext context = SpringApplication.run(LobrikApplication.class, arguments);
        if (Stream.of("lobrik.load.attempts", "lobrik.load.schools")
                .anyMatch(context.getEnvironment()::containsProperty)) {
            System.exit(SpringApplication.exit(context));
        }
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }

    /** For what must not be guessed. */
    @Bean
    RandomGenerator chance() {
        return new SecureRandom();
    }
}
