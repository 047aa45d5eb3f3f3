package lobrik.server.platform;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Lets only those through to an endpoint who have the right that it {@linkplain Needs needs}, and to the rows of their own school. */
@Configuration
public class RightsGuard implements WebMvcConfigurer, HandlerInterceptor {

    /** Whoever is signed in, as far as this matters here. */
    public interface Holder {

        boolean may(Right right);

        UUID centreId();
    }

    private static final String OURS = "lobrik.";

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/api/**");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (request.getDispatcherType() == DispatcherType.REQUEST
                && handler instanceof HandlerMethod method
                && method.getBeanType().getName().startsWith(OURS)) {
            if (isOpen(method)) {
                // Whose a code is, or a name, is only known when it is found.
                WorksFor.all();
                return true;
            }
            Needs needs = method.getMethodAnnotation(Needs.class);
            Holder who = signedIn(SecurityContextHolder.getContext().getAuthentication());
            if (needs == null) {
                throw TurnedDown.forbidden("Nobody may do this");
            }
            if (who == null || !who.may(needs.value())) {
                throw TurnedDown.forbidden(needs.value().whose());
            }
            if (needs.beyondOnesSchool()) {
                WorksFor.all();
            } else {
                WorksFor.school(who.centreId());
            }
        }
        return true;
    }

    private static boolean isOpen(HandlerMethod method) {
        return method.hasMethodAnnotation(NeedsNoAccount.class)
                || method.getBeanType().isAnnotationPresent(NeedsNoAccount.class);
    }

    private static @Nullable Holder signedIn(@Nullable Authentication authentication) {
        return authentication != null && authentication.getPrincipal() instanceof Holder who ? who : null;
    }
}
