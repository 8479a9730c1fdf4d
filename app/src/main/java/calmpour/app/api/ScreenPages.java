package calmpour.app.api;

import java.io.IOException;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.Resource;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.PathResourceResolver;

/**
 * The addresses of the screens. Which screen an address means is known in the browser alone, so
 * that every address that is neither a file nor the API's answers with the page that knows it; a
 * reload and a copied link then work everywhere.
 */
@Configuration
class ScreenPages implements WebMvcConfigurer {
  @Override
  public void addResourceHandlers(ResourceHandlerRegistry registry) {
    registry
        .addResourceHandler("/**")
        .addResourceLocations("classpath:/static/")
        .setCacheControl(org.springframework.http.CacheControl.noCache())
        .resourceChain(true)
        .addResolver(new FileOrPage());
  }

  private static final class FileOrPage extends PathResourceResolver {
    @Override
    protected @Nullable Resource getResource(String path, Resource location) throws IOException {
      Resource file = super.getResource(path, location);
      if (file != null) {
        return file;
      }
      boolean screen = !path.startsWith("api/") && !path.startsWith("assets/");
      return screen ? super.getResource("index.html", location) : null;
    }
  }
}
