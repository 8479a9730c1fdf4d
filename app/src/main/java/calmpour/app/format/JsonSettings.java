package calmpour.app.format;

import calmpour.core.habit.Habits;
import calmpour.core.habit.Hands;
import com.fasterxml.jackson.annotation.JsonInclude;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;

/**
 * Strict reading: nothing is repaired in silence, a misspelt field is told. What is unknown is left
 * out of a document, never written as null.
 */
@Configuration
public class JsonSettings {
  private static JsonMapper.Builder strict(JsonMapper.Builder builder) {
    return builder
        .changeDefaultPropertyInclusion(i -> i.withValueInclusion(JsonInclude.Include.NON_NULL))
        .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
        .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
        .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
        .enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS)
        .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
        .disable(MapperFeature.ALLOW_COERCION_OF_SCALARS);
  }

  @Bean
  JsonMapperBuilderCustomizer strictReading() {
    JsonMapper plain = strict(JsonMapper.builder()).build();
    SimpleModule overDefaults =
        new SimpleModule("over-defaults")
            .addDeserializer(Habits.class, new OverDefaults<>(plain, Habits.class, Habits.DEFAULT))
            .addDeserializer(Hands.class, new OverDefaults<>(plain, Hands.class, Hands.DEFAULT));
    return builder -> strict(builder).addModule(overDefaults).addModule(new AddressModule());
  }
}
