package lobrik.server.platform;

import java.io.IOException;
import java.time.Duration;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.EncodedResourceResolver;
import org.springframework.web.servlet.resource.PathResourceResolver;

/** Serves the built screens. Every address that is neither a file nor under {@code /api} is a place in the client. */
@Configuration
class Screens implements WebMvcConfigurer {

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        // Vite puts a hash of the contents into these names, so they never change.
        registry.addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/static/assets/")
                .setCacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePublic().immutable())
                .resourceChain(true)
                .addResolver(new EncodedResourceResolver())
                .addResolver(new PathResourceResolver());
        registry.addResourceHandler("/**")
                .addResourceLocations("classpath:/static/")
                .setCacheControl(CacheControl.noCache())
                .resourceChain(false)
                .addResolver(new PlaceOrFile());
    }

    private static final class PlaceOrFile extends PathResourceResolver {
        @Override
        protected @Nullable Resource getResource(String path, Resource location) throws IOException {
            Resource file = super.getResource(path, location);
            if (file != null || path.startsWith("api/") || path.contains(".")) {
                return file;
            }
            return new ClassPathResource("static/index.html");
        }
    }
}
