package calmpour.app.format;

import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Place;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.TaskId;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.ToStringSerializer;

/** Addresses of a plan are text in every document. */
public final class AddressModule extends SimpleModule {
  private static final long serialVersionUID = 1L;

  /** What is written as text although it is a record. */
  public static final List<Class<?>> TEXTS =
      List.of(TaskId.class, PourId.class, CupId.class, CavityId.class, Place.class);

  public AddressModule() {
    super("addresses");
    TEXTS.forEach(type -> addSerializer(type, ToStringSerializer.instance));
    text(TaskId.class, text -> Optional.of(new TaskId(text)));
    text(PourId.class, PourId::read);
    text(CupId.class, CupId::read);
    text(CavityId.class, CavityId::read);
    text(Place.class, Place::read);
  }

  private <T> void text(Class<T> type, Function<String, Optional<T>> read) {
    addDeserializer(type, new FromText<>(type, read));
  }

  private static final class FromText<T> extends StdDeserializer<T> {
    private final Class<T> type;
    private final transient Function<String, Optional<T>> read;

    FromText(Class<T> type, Function<String, Optional<T>> read) {
      super(type);
      this.type = type;
      this.read = read;
    }

    @Override
    public T deserialize(JsonParser parser, DeserializationContext context) {
      String text = parser.getString();
      if (!parser.currentToken().isScalarValue()) {
        return context.reportInputMismatch(type, "a name is expected");
      }
      return read.apply(text)
          .orElseThrow(() -> context.weirdStringException(text, type, "no such address"));
    }
  }
}
