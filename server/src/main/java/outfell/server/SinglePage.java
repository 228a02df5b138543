package outfell.server;

import java.io.IOException;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.Resource;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.PathResourceResolver;

/** Serves the screens: any address that is neither a file nor the API is the one page. */
@Configuration(proxyBeanMethods = false)
class SinglePage implements WebMvcConfigurer {
    private static final int A_YEAR = 31_536_000;

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/static/assets/")
                .setCachePeriod(A_YEAR);
        registry.addResourceHandler("/**")
                .addResourceLocations("classpath:/static/")
                .resourceChain(true)
                .addResolver(new OnePage());
    }

    private static final class OnePage extends PathResourceResolver {
        @Override
        protected @Nullable Resource getResource(String path, Resource location) throws IOException {
            Resource hit = super.getResource(path, location);
            boolean page = !path.startsWith("api/") && !path.contains(".");
            return hit == null && page ? super.getResource("index.html", location) : hit;
        }
    }
}
