package calmpour.app;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * Every field of a document, each with the same document in which that field alone is another one.
 * Fields are named by where they stand, such as {@code Mould.make.levelBase}; those of a list's
 * entries are one field.
 */
final class EveryField {
  private static final List<Double> NUMBERS =
      List.of(0.5, 2.0, 8.0, 20.0, 45.0, 90.0, 400.0, 1.0, 0.0, 5.0, 1_000.0);

  private EveryField() {}

  /**
   * @param root a record
   * @return by field, the ways in which that field alone can be otherwise
   */
  static <T> Map<String, List<UnaryOperator<T>>> of(T root) {
    Map<String, List<UnaryOperator<T>>> fields = new LinkedHashMap<>();
    walk(root, root.getClass(), root.getClass().getSimpleName(), v -> with(v), fields);
    return fields;
  }

  /** Puts another value where the walk stands, and gives the whole document that results. */
  private interface Hole {
    Object fill(@Nullable Object value);
  }

  private static Object with(@Nullable Object value) {
    return Objects.requireNonNull(value);
  }

  @SuppressWarnings("unchecked")
  private static <T> void walk(
      @Nullable Object value,
      Type type,
      String name,
      Hole hole,
      Map<String, List<UnaryOperator<T>>> fields) {
    Class<?> raw = raw(type);
    if (value instanceof List<?> list) {
      Type of = ((ParameterizedType) type).getActualTypeArguments()[0];
      if (!raw(of).isRecord()) {
        others(fields, name, listsBeside(list, raw(of)), hole);
        return;
      }
      for (int i = 0; i < list.size(); i++) {
        int at = i;
        walk(
            list.get(i),
            list.get(i).getClass(),
            name + "[]",
            v -> {
              List<Object> copy = new ArrayList<>(list);
              copy.set(at, v);
              return hole.fill(copy);
            },
            fields);
      }
      return;
    }
    if (value != null && value.getClass().isRecord()) {
      RecordComponent[] parts = value.getClass().getRecordComponents();
      for (int i = 0; i < parts.length; i++) {
        int at = i;
        Object own = read(parts[i], value);
        walk(
            own,
            parts[i].getGenericType(),
            name + "." + parts[i].getName(),
            v -> hole.fill(copy(value, at, v)),
            fields);
      }
      return;
    }
    others(fields, name, beside(value, raw), hole);
  }

  @SuppressWarnings("unchecked")
  private static <T> void others(
      Map<String, List<UnaryOperator<T>>> fields, String name, List<?> others, Hole hole) {
    List<UnaryOperator<T>> ways = fields.computeIfAbsent(name, n -> new ArrayList<>());
    for (Object other : others) {
      ways.add(t -> (T) hole.fill(other));
    }
  }

  private static Class<?> raw(Type type) {
    return type instanceof ParameterizedType p ? (Class<?>) p.getRawType() : (Class<?>) type;
  }

  private static @Nullable Object read(RecordComponent part, Object of) {
    try {
      part.getAccessor().setAccessible(true);
      return part.getAccessor().invoke(of);
    } catch (ReflectiveOperationException e) {
      throw new LinkageError(part.getName(), e);
    }
  }

  /**
   * The same record with another part; what the record itself refuses is thrown as it throws it.
   */
  private static Object copy(Object of, int at, @Nullable Object value) {
    RecordComponent[] parts = of.getClass().getRecordComponents();
    Object[] values = new Object[parts.length];
    for (int i = 0; i < parts.length; i++) {
      values[i] = i == at ? value : read(parts[i], of);
    }
    Class<?>[] types = Arrays.stream(parts).map(RecordComponent::getType).toArray(Class<?>[]::new);
    try {
      Constructor<?> made = of.getClass().getDeclaredConstructor(types);
      made.setAccessible(true);
      return made.newInstance(values);
    } catch (InvocationTargetException e) {
      if (e.getCause() instanceof RuntimeException refused) {
        throw refused;
      }
      throw new AssertionError(e);
    } catch (ReflectiveOperationException e) {
      throw new LinkageError(of.getClass().getName(), e);
    }
  }

  /** Other values of a type; nothing where a name leads to something else on the shelf. */
  private static List<?> beside(@Nullable Object value, Class<?> type) {
    if (type.isEnum()) {
      return Arrays.stream(type.getEnumConstants()).filter(c -> !c.equals(value)).toList();
    }
    if (type == boolean.class || type == Boolean.class) {
      return value == null ? List.of(true, false) : List.of(!(Boolean) value);
    }
    if (type == double.class || type == Double.class) {
      List<Double> all = new ArrayList<>();
      if (value instanceof Double d) {
        all.addAll(List.of(d * 1.3, d * 0.7, d * 3));
      }
      all.addAll(NUMBERS);
      return all.stream().filter(d -> !d.equals(value)).toList();
    }
    if (type == int.class || type == Integer.class) {
      List<Integer> all = new ArrayList<>();
      if (value instanceof Integer n) {
        all.addAll(List.of(n + 1, Math.max(0, n - 1), n * 3));
      }
      NUMBERS.forEach(d -> all.add(d.intValue()));
      return all.stream().filter(n -> !n.equals(value)).distinct().toList();
    }
    if (type == LocalDate.class) {
      LocalDate day = value instanceof LocalDate d ? d : LocalDate.of(2026, 11, 20);
      return List.of(day.minusDays(900), day.plusYears(2));
    }
    if (type == LocalDateTime.class) {
      LocalDateTime at =
          value instanceof LocalDateTime t ? t : LocalDateTime.of(2026, 12, 1, 18, 0);
      return List.of(at.plusHours(5), at.plusDays(40), at.minusDays(40), at.plusYears(20));
    }
    if (type == String.class) {
      if (value instanceof String text && text.matches("#[0-9a-fA-F]{6}")) {
        return List.of("#13579b");
      }
      return List.of(value == null ? "said otherwise" : value + " otherwise");
    }
    return List.of();
  }

  private static List<?> listsBeside(List<?> list, Class<?> of) {
    List<List<?>> all = new ArrayList<>();
    if (!list.isEmpty()) {
      all.add(List.of());
    }
    for (Object each : beside(null, of)) {
      if (!list.contains(each)) {
        List<Object> more = new ArrayList<>(list);
        more.add(each);
        all.add(more);
      }
    }
    return all;
  }
}
