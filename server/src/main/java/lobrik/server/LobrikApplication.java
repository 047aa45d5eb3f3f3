package lobrik.server;

import java.security.SecureRandom;
import java.time.Clock;
import java.util.random.RandomGenerator;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;
import org.springframework.context.annotation.Bean;

/** Starts the server. */
@SpringBootApplication(exclude = UserDetailsServiceAutoConfiguration.class)
public class LobrikApplication {

    /** Runs until stopped. */
    public static void main(String[] arguments) {
        SpringApplication.run(LobrikApplication.class, arguments);
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
