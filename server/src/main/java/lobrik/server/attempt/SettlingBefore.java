package lobrik.server.attempt;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Sees to it that whoever asks for what follows from the record is not told of a record of before. */
@Component
class SettlingBefore implements HandlerInterceptor, WebMvcConfigurer {

    private final FollowUps followUps;

    SettlingBefore(FollowUps followUps) {
        this.followUps = followUps;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (handler instanceof HandlerMethod method
                && (method.hasMethodAnnotation(Settled.class)
                        || method.getBeanType().isAnnotationPresent(Settled.class))) {
            followUps.settle();
        }
        return true;
    }
}
