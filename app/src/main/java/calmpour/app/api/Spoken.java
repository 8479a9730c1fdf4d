package calmpour.app.api;

import java.util.List;
import org.springframework.boot.http.converter.autoconfigure.ServerHttpMessageConvertersCustomizer;
import org.springframework.http.MediaType;
import org.springframework.http.converter.HttpMessageConverters;
import org.springframework.http.converter.StringHttpMessageConverter;
import org.springframework.stereotype.Component;
import org.springframework.validation.Errors;
import org.springframework.validation.Validator;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * The API speaks JSON, and records check themselves where they are made. What makes the OpenAPI
 * document brings a library for YAML with a second binding of objects and a checker of annotations;
 * found on the class path both would be set up at every start, for nothing.
 */
@Component
class Spoken implements ServerHttpMessageConvertersCustomizer, WebMvcConfigurer {
  @Override
  public void customize(HttpMessageConverters.ServerBuilder converters) {
    StringHttpMessageConverter text = new StringHttpMessageConverter();
    text.setSupportedMediaTypes(List.of(MediaType.APPLICATION_YAML));
    converters.withYamlConverter(text);
  }

  @Override
  public Validator getValidator() {
    return new NoAnnotations();
  }

  private static final class NoAnnotations implements Validator {
    @Override
    public boolean supports(Class<?> type) {
      return false;
    }

    @Override
    public void validate(Object target, Errors errors) {
      throw new IllegalStateException("bug: nothing is checked by annotations, not " + target);
    }
  }
}
