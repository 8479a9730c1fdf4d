package calmpour.app.api;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.PathItem;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.responses.ApiResponse;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Properties;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Lazy;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** What every operation is for, and how it says no; see {@link Problems} and {@link Gate}. */
@Component
@Lazy
class OpenApiOperations implements OpenApiCustomizer {
  private static final String PROBLEM = "Problem";

  @Override
  public void customise(OpenAPI api) {
    api.getComponents().addSchemas(PROBLEM, problem());
    Properties words = words();
    api.getPaths()
        .forEach((path, item) ->
            item.readOperationsMap()
                .forEach((method, operation) -> {
                  operation.setSummary(words.getProperty(method + " " + path));
                  refusals(path, method, operation);
                }));
  }

  private static void refusals(String path, PathItem.HttpMethod method, Operation operation) {
    boolean changes = method != PathItem.HttpMethod.GET;
    if (path.contains("{")) {
      refused(operation, "404", "It is not kept here (any more).");
    }
    if (path.matches("/api/(sessions|runs)/\\{id}.*")) {
      refused(
          operation,
          "409",
          "Kept by another version of Calm Pour, or damaged; or somebody saved it meanwhile.");
    }
    if (operation.getRequestBody() != null) {
      refused(operation, "400", "The body cannot be read.");
      refused(operation, "413", "Larger than any session, model or picture.");
      refused(operation, "422", "Something does not fit; each field with what is wrong at it.");
    }
    if (changes) {
      refused(operation, "403", "Another site’s page asked for it.");
    }
  }

  private static void refused(Operation operation, String status, String why) {
    Schema<?> schema = new Schema<>().$ref("#/components/schemas/" + PROBLEM);
    operation
        .getResponses()
        .addApiResponse(
            status,
            new ApiResponse()
                .description(why)
                .content(
                    new Content()
                        .addMediaType("application/problem+json", new MediaType().schema(schema))));
  }

  private static Schema<?> problem() {
    Schema<?> problem = new ObjectSchema().description("Why the server said no (RFC 9457).");
    for (String each : new String[] {"type", "title", "detail", "instance"}) {
      problem.addProperty(each, new StringSchema());
    }
    problem.addProperty("status", new io.swagger.v3.oas.models.media.IntegerSchema());
    problem.addProperty(
        "errors",
        new io.swagger.v3.oas.models.media.ArraySchema()
            .items(new ObjectSchema().description("A field, what is wrong at it, and in words."))
            .description("By field, where values do not fit."));
    return problem;
  }

  private static Properties words() {
    Properties words = new Properties();
    try (Reader in =
        new InputStreamReader(
            new ClassPathResource("operations.properties").getInputStream(),
            StandardCharsets.UTF_8)) {
      words.load(in);
      return words;
    } catch (IOException missing) {
      throw new UncheckedIOException(missing);
    }
  }
}
