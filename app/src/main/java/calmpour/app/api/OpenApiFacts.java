package calmpour.app.api;

import calmpour.app.format.AddressModule;
import calmpour.core.check.Range;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.reflect.Field;
import java.lang.reflect.RecordComponent;
import java.math.BigDecimal;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Lazy;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/**
 * What the OpenAPI document says about core's records comes from the records: a component is
 * required unless it may be null, and a constant {@code VOLUME_ML} gives the range of {@code
 * volumeMl}. So no annotation of the document's kind has to live in core.
 */
@Configuration(proxyBeanMethods = false)
@Lazy
class OpenApiFacts {
  static {
    // Documents of any format are told as what they are: some object.
    SpringDocUtils.getConfig().replaceWithClass(JsonNode.class, Object.class);
    AddressModule.TEXTS.forEach(
        type -> SpringDocUtils.getConfig().replaceWithClass(type, String.class));
  }

  @Bean
  OpenAPI about() {
    return new OpenAPI()
        .servers(List.of(new Server().url("/")))
        .info(
            new Info()
                .title("Calm Pour")
                .version("1")
                .description("Plans resin sessions. Served on this machine only."));
  }

  /** Adds the facts to every schema that comes from a record of ours. */
  @Component
  @Lazy
  static class FromRecords implements ModelConverter {
    @Override
    public @Nullable Schema<?> resolve(
        AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
      if (!chain.hasNext()) {
        return null;
      }
      Schema<?> resolved = chain.next().resolve(type, context, chain);
      Class<?> raw = com.fasterxml.jackson.databind.type.TypeFactory.rawClass(type.getType());
      if (raw.isRecord() && raw.getName().startsWith("calmpour.")) {
        Schema<?> target = resolved;
        if (resolved != null && resolved.get$ref() != null) {
          String name = resolved.get$ref().substring(resolved.get$ref().lastIndexOf('/') + 1);
          target = context.getDefinedModels().get(name);
        }
        if (target != null && target.getProperties() != null) {
          addFacts(raw, target);
        }
      }
      return resolved;
    }

    @SuppressWarnings("rawtypes") // the library gives properties as raw schemas
    private static void addFacts(Class<?> record, Schema<?> schema) {
      Map<String, Schema> properties = properties(schema);
      List<String> required = new ArrayList<>();
      for (RecordComponent component : record.getRecordComponents()) {
        if (!component.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
          required.add(component.getName());
        }
        Range range = range(record, component.getName());
        Schema<?> property = properties.get(component.getName());
        if (property != null && component.getType() == LocalDateTime.class) {
          // A wall-clock time without an offset is no RFC 3339 date-time.
          property.setFormat("local-date-time");
        }
        if (range != null && property != null && "array".equals(kind(property))) {
          property.setMaxItems((int) range.maxInclusive());
        } else if (range != null && property != null) {
          property.setMinimum(BigDecimal.valueOf(range.minInclusive()));
          property.setMaximum(BigDecimal.valueOf(range.maxInclusive()));
        }
      }
      // What has a default when it is left out of a document.
      required.removeAll(optionalInDocuments(record));
      schema.setRequired(required);
      schema.setAdditionalProperties(false);
    }

    @SuppressWarnings("rawtypes")
    private static Map<String, Schema> properties(Schema<?> schema) {
      return schema.getProperties();
    }

    private static String kind(Schema<?> property) {
      return property.getTypes() == null
          ? String.valueOf(property.getType())
          : property.getTypes().iterator().next();
    }

    private static List<String> optionalInDocuments(Class<?> record) {
      return switch (record.getSimpleName()) {
        case "Session" ->
            List.of(
                "cupIds", "habits", "hands", "pieces", "cupsByHand", "strengths", "arrangement");
        case "Workshop" ->
            List.of(
                "moulds",
                "resins",
                "colourants",
                "colours",
                "cups",
                "parts",
                "embeds",
                "tools",
                "bookings");
        case "Measurement" -> List.of("parts", "levels");
        case "ResinPart" -> List.of("lots");
        case "Layer" -> List.of("join", "beside", "meeting", "embeds");
        case "PlacedEmbed" -> List.of("moment", "prepare");
        case "PieceWork" -> List.of("surface", "finishing", "bubbles", "curing");
        case "TopCoat" -> List.of("side");
        case "Arrangement" -> List.of("pins", "accepted", "together");
        case "RunEvent" -> List.of("codes");
        case "Hours" -> List.of("otherwise");
        case "Habits", "Hands", "Mixing", "Splitting", "Tinting", "Care", "Planning" ->
            java.util.Arrays.stream(record.getRecordComponents())
                .map(RecordComponent::getName)
                .toList();
        default -> List.of();
      };
    }

    private static @Nullable Range range(Class<?> record, String component) {
      String constant = component.replaceAll("([a-z])([A-Z])", "$1_$2").toUpperCase(Locale.ROOT);
      try {
        Field field = record.getField(constant);
        return field.getType() == Range.class ? (Range) field.get(null) : null;
      } catch (NoSuchFieldException noRange) {
        return null;
      } catch (IllegalAccessException hidden) {
        throw new IllegalStateException("bug: " + record + "." + constant + " is hidden", hidden);
      }
    }
  }
}
