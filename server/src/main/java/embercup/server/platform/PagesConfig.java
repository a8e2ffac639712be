package embercup.server.platform;

import java.util.List;
import java.util.concurrent.TimeUnit;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.ViewControllerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** The built web front end: hashed assets are kept by the browser, every place is a deep link to the same page. */
@Configuration
class Pages implements WebMvcConfigurer {

    /** Any path of words is the page's own to answer, a wrong one too; the server keeps these for itself. */
    private static final String PLACE = "/{place:(?!api|actuator|assets|v3)[a-z-]+}";

    @Override
    public void addViewControllers(ViewControllerRegistry registry) {
        for (String place : List.of("/", PLACE, PLACE + "/**")) {
            registry.addViewController(place).setViewName("forward:/index.html");
        }
    }

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/static/assets/")
                .setCacheControl(CacheControl.maxAge(365, TimeUnit.DAYS).immutable());
        registry.addResourceHandler("/*.*")
                .addResourceLocations("classpath:/static/")
                .setCacheControl(CacheControl.noCache());
    }
}
