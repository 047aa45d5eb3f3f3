package lobrik.server.platform;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import org.springframework.boot.security.autoconfigure.actuate.web.servlet.EndpointRequest;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/**
 * Who may call what. Everything under {@code /api} needs a session, but for signing in, the calculation interface, its
 * description and the status; the screens themselves are public files.
 */
@Configuration
class SecurityConfiguration {

    private static final String ARGON2 = "argon2";

    private static final String CONTENT_POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; "
            + "font-src 'self'; img-src 'self' data: blob:; media-src 'self' blob:; connect-src 'self'; "
            + "manifest-src 'self'; worker-src 'self'; "
            + "base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    /** Health and metrics say nothing of anybody, and have a port of their own that only this machine reaches. */
    @Bean
    @Order(1)
    SecurityFilterChain figuresOfTheServer(HttpSecurity http) {
        return http.securityMatcher(EndpointRequest.toAnyEndpoint())
                .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
                .csrf(AbstractHttpConfigurer::disable)
                .sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .build();
    }

    @Bean
    SecurityFilterChain securityFilterChain(
            HttpSecurity http, SecurityContextRepository contexts, CsrfTokenRepository tokens, PublicAddress address) {
        return http.authorizeHttpRequests(requests -> requests.requestMatchers(
                                HttpMethod.POST,
                                "/api/session",
                                "/api/session/passkey",
                                "/api/session/passkey/question")
                        .permitAll()
                        .requestMatchers("/api/calc/**")
                        .permitAll()
                        // Whoever holds a sheet may say where they are with it; the code on it is the key.
                        .requestMatchers("/api/benches/**", "/api/own/**", "/api/invitations/**", "/api/calendars/**")
                        .permitAll()
                        // A stream goes on after its request was let in.
                        .dispatcherTypeMatchers(DispatcherType.ASYNC)
                        .permitAll()
                        .requestMatchers(HttpMethod.GET, "/api/openapi.json", "/api/status", "/api/health")
                        .permitAll()
                        .requestMatchers("/api/**")
                        .authenticated()
                        .anyRequest()
                        .permitAll())
                // The calculation interface keeps nothing and knows nobody: a forged request gains nothing.
                .csrf(csrf -> csrf.spa().csrfTokenRepository(tokens).ignoringRequestMatchers("/api/calc/**"))
                .securityContext(context -> context.securityContextRepository(contexts))
                .addFilterAfter(new SameAccount(), AuthorizationFilter.class)
                .addFilterAfter(new EarlierScreens(EarlierScreens.OLDEST_UNDERSTOOD), SameAccount.class)
                .requestCache(AbstractHttpConfigurer::disable)
                .formLogin(AbstractHttpConfigurer::disable)
                .httpBasic(AbstractHttpConfigurer::disable)
                .logout(AbstractHttpConfigurer::disable)
                .exceptionHandling(failures -> failures.authenticationEntryPoint((request, response, failure) ->
                                write(response, HttpStatus.UNAUTHORIZED, "not-signed-in", "Please sign in"))
                        .accessDeniedHandler((request, response, failure) -> write(
                                response,
                                HttpStatus.FORBIDDEN,
                                "forbidden",
                                "This is not allowed, or the page is out of date: reload it")))
                // Of a certificate of our own no browser is told so: a device that loses it could never come back by
                // another way.
                .headers(headers -> headers.httpStrictTransportSecurity(strict -> strict.includeSubDomains(false)
                                .requestMatcher(
                                        request -> request.isSecure() && address.isForGood(request.getServerName())))
                        .contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.NO_REFERRER)))
                .build();
    }

    /** The page reads the token from its cookie and sends it back in a header, which no other site can. */
    @Bean
    CsrfTokenRepository csrfTokenRepository() {
        CookieCsrfTokenRepository tokens = CookieCsrfTokenRepository.withHttpOnlyFalse();
        tokens.setCookieCustomizer(cookie -> cookie.sameSite("Lax"));
        return tokens;
    }

    @Bean
    SecurityContextRepository securityContextRepository() {
        return new HttpSessionSecurityContextRepository();
    }

    /** Argon2id, which takes a password of any length whole; those of earlier builds are bcrypt's, until somebody chooses another. */
    @Bean
    PasswordEncoder passwordEncoder() {
        return new DelegatingPasswordEncoder(
                ARGON2,
                Map.of(
                        ARGON2,
                        Argon2PasswordEncoder.defaultsForSpringSecurity_v5_8(),
                        "bcrypt",
                        new BCryptPasswordEncoder()));
    }

    /** Filters answer before the resources do, so they write their problems themselves. */
    static void write(HttpServletResponse response, HttpStatus status, String code, String message) throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding("UTF-8");
        response.getWriter().write("""
                        {"title":"%s","status":%d,"detail":"%s","errors":[{"pointer":"","code":"%s","message":"%s"}]}""".formatted(status.getReasonPhrase(), status.value(), message, code, message));
    }
}
