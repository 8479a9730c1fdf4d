package calmpour.app.format.mesh;

import calmpour.core.mould.MeshShape.MeshUnit;
import calmpour.core.mould.mesh.MeshBuilder;
import calmpour.core.mould.mesh.MeshProblem;
import java.io.ByteArrayInputStream;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.jspecify.annotations.Nullable;

/**
 * 3MF: a zip with a model in XML (3MF Core Specification: units, meshes, components, build items
 * and their 3 × 4 transforms). Nothing outside of the file is ever opened, and what it inflates to
 * is bounded.
 */
final class ThreeMf {
  /** XML of a million and a half triangles. */
  private static final long LARGEST_MODEL = 400_000_000;

  private static final int MOST_ENTRIES = 2_000;

  /** A component of a component of a component … no drawing program goes deeper. */
  private static final int DEEPEST = 12;

  private static final int MOST_OBJECTS = 10_000;

  private final Map<String, Body> objects = new HashMap<>();
  private final List<Placed> items = new ArrayList<>();
  private Optional<MeshUnit> unit = Optional.of(MeshUnit.MILLIMETRE);
  private int placed;
  private long left = LARGEST_MODEL;
  private long cornersPlaced;

  /** An object: its own corners and triangles, or other objects put together. */
  private static final class Body {
    double[] xyz = new double[96];
    int numbers;
    int[] corners = new int[96];
    int used;
    final List<Placed> components = new ArrayList<>();

    void vertex(double x, double y, double z) {
      if (numbers + 3 > xyz.length) {
        xyz = Arrays.copyOf(xyz, xyz.length * 2);
      }
      xyz[numbers++] = x;
      xyz[numbers++] = y;
      xyz[numbers++] = z;
    }

    void triangle(int a, int b, int c) {
      if (used / 3 >= MeshBuilder.MOST_TRIANGLES) {
        throw new MeshProblem(MeshProblem.Reason.TOO_LARGE, MeshBuilder.MOST_TRIANGLES);
      }
      if (used + 3 > corners.length) {
        corners = Arrays.copyOf(corners, corners.length * 2);
      }
      corners[used++] = a;
      corners[used++] = b;
      corners[used++] = c;
    }
  }

  /** An object where it stands. */
  private record Placed(String objectId, List<Double> transform) {}

  private static final List<Double> AS_IS = List.of(1., 0., 0., 0., 1., 0., 0., 0., 1., 0., 0., 0.);

  private ThreeMf() {}

  static MeshFiles.Model read(byte[] bytes) {
    ThreeMf file = new ThreeMf();
    try {
      String root = file.root(bytes);
      if (!file.entry(
          bytes, name -> root == null ? name.endsWith(".model") : name.equals(root), file::model)) {
        throw new MeshProblem(MeshProblem.Reason.NOT_READABLE, 1);
      }
    } catch (XMLStreamException broken) {
      Throwable cause = broken.getNestedException();
      if (cause instanceof MeshProblem problem) {
        throw problem;
      }
      int line = broken.getLocation() == null ? 1 : broken.getLocation().getLineNumber();
      throw new MeshProblem(MeshProblem.Reason.NOT_READABLE, line);
    } catch (IOException broken) {
      throw new MeshProblem(MeshProblem.Reason.CUT_SHORT, 1);
    }
    return MeshFiles.Model.of(file.put(), file.unit);
  }

  /** What is done with an entry. */
  private interface Reader {
    void read(InputStream in) throws XMLStreamException;
  }

  /**
   * The model that the package names as its own (Open Packaging Conventions: the relationships of
   * the package itself); others in it are thumbnails of other programs, or parts of it.
   *
   * @return its name in the zip, in small letters; null where the package does not say
   */
  private @Nullable String root(byte[] bytes) throws IOException, XMLStreamException {
    List<String> named = new ArrayList<>();
    entry(
        bytes,
        "_rels/.rels"::equals,
        in -> {
          XMLStreamReader xml = reader(in);
          while (xml.hasNext()) {
            if (xml.next() == XMLStreamConstants.START_ELEMENT
                && xml.getLocalName().equals("Relationship")
                && String.valueOf(xml.getAttributeValue(null, "Type")).endsWith("/3dmodel")) {
              named.add(attribute(xml, "Target"));
            }
          }
        });
    return named.isEmpty() ? null : small(named.get(0));
  }

  private static String small(String name) {
    String plain = name.startsWith("/") ? name.substring(1) : name;
    return plain.toLowerCase(Locale.ROOT);
  }

  /** Finds the first entry of such a name; false when there is none. */
  private boolean entry(byte[] bytes, Predicate<String> wanted, Reader reader)
      throws IOException, XMLStreamException {
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
      int entries = 0;
      for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
        if (++entries > MOST_ENTRIES) {
          throw new MeshProblem(MeshProblem.Reason.HOSTILE, entries);
        }
        InputStream bounded = new Bounded(zip);
        if (wanted.test(small(e.getName()))) {
          reader.read(bounded);
          return true;
        }
        // Reading over an entry inflates it: pictures are small, bombs are not.
        bounded.transferTo(OutputStream.nullOutputStream());
      }
    }
    return false;
  }

  /** Stops a file that inflates beyond measure, all that is read of it taken together. */
  private final class Bounded extends FilterInputStream {
    Bounded(InputStream in) {
      super(in);
    }

    @Override
    public int read() throws IOException {
      int one = super.read();
      count(one < 0 ? 0 : 1);
      return one;
    }

    @Override
    public int read(byte[] into, int offset, int length) throws IOException {
      int n = super.read(into, offset, length);
      count(Math.max(0, n));
      return n;
    }

    private void count(int n) {
      left -= n;
      if (left < 0) {
        throw new MeshProblem(MeshProblem.Reason.HOSTILE, LARGEST_MODEL);
      }
    }

    @Override
    public void close() {
      // The zip goes on after this entry.
    }
  }

  private static XMLStreamReader reader(InputStream in) throws XMLStreamException {
    XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    factory.setXMLResolver((publicId, systemId, base, namespace) -> {
      throw new MeshProblem(MeshProblem.Reason.HOSTILE, -1);
    });
    return factory.createXMLStreamReader(in);
  }

  private void model(InputStream in) throws XMLStreamException {
    XMLStreamReader xml = reader(in);
    @Nullable Body open = null;
    while (xml.hasNext()) {
      int event = xml.next();
      if (event == XMLStreamConstants.DTD || event == XMLStreamConstants.ENTITY_REFERENCE) {
        throw new MeshProblem(MeshProblem.Reason.HOSTILE, -1);
      }
      if (event == XMLStreamConstants.START_ELEMENT) {
        open = element(xml, open);
      }
    }
  }

  private @Nullable Body element(XMLStreamReader xml, @Nullable Body open) {
    switch (xml.getLocalName()) {
      case "model" -> unit = unit(xml.getAttributeValue(null, "unit"), line(xml));
      case "object" -> {
        Body body = new Body();
        if (objects.size() >= MOST_OBJECTS) {
          throw new MeshProblem(MeshProblem.Reason.TOO_LARGE, objects.size());
        }
        objects.put(attribute(xml, "id"), body);
        return body;
      }
      case "vertex" -> at(open, xml).vertex(number(xml, "x"), number(xml, "y"), number(xml, "z"));
      case "triangle" ->
          at(open, xml).triangle(index(xml, "v1"), index(xml, "v2"), index(xml, "v3"));
      case "component" -> at(open, xml).components.add(placed(xml));
      case "item" -> items.add(placed(xml));
      default -> {
        // Colours, textures and other extensions say nothing about the shape.
      }
    }
    return open;
  }

  private static Body at(@Nullable Body open, XMLStreamReader xml) {
    if (open == null) {
      throw new MeshProblem(MeshProblem.Reason.NOT_READABLE, line(xml));
    }
    return open;
  }

  private static Placed placed(XMLStreamReader xml) {
    String given = xml.getAttributeValue(null, "transform");
    if (given == null) {
      return new Placed(attribute(xml, "objectid"), AS_IS);
    }
    List<Double> numbers = new ArrayList<>();
    for (String word : given.strip().split("\\s+", 13)) {
      numbers.add(parsed(word, xml));
    }
    if (numbers.size() != 12) {
      throw new MeshProblem(MeshProblem.Reason.NOT_READABLE, line(xml));
    }
    return new Placed(attribute(xml, "objectid"), List.copyOf(numbers));
  }

  private static Optional<MeshUnit> unit(String name, int line) {
    return Optional.of(
        switch (name == null ? "millimeter" : name) {
          case "micron" -> MeshUnit.MICROMETRE;
          case "millimeter" -> MeshUnit.MILLIMETRE;
          case "centimeter" -> MeshUnit.CENTIMETRE;
          case "inch" -> MeshUnit.INCH;
          case "foot" -> MeshUnit.FOOT;
          case "meter" -> MeshUnit.METRE;
          default -> throw new MeshProblem(MeshProblem.Reason.NOT_READABLE, line);
        });
  }

  private static int line(XMLStreamReader xml) {
    return xml.getLocation().getLineNumber();
  }

  private static String attribute(XMLStreamReader xml, String name) {
    String value = xml.getAttributeValue(null, name);
    if (value == null) {
      throw new MeshProblem(MeshProblem.Reason.NOT_READABLE, line(xml));
    }
    return value;
  }

  private static double number(XMLStreamReader xml, String name) {
    return parsed(attribute(xml, name), xml);
  }

  private static double parsed(String text, XMLStreamReader xml) {
    try {
      double value = text.length() > 64 ? Double.NaN : Double.parseDouble(text);
      if (Double.isFinite(value)) {
        return value;
      }
    } catch (NumberFormatException notANumber) {
      throw new MeshProblem(MeshProblem.Reason.NOT_READABLE, line(xml));
    }
    throw new MeshProblem(MeshProblem.Reason.NOT_A_NUMBER, line(xml));
  }

  private static int index(XMLStreamReader xml, String name) {
    try {
      return Integer.parseInt(attribute(xml, name));
    } catch (NumberFormatException notANumber) {
      throw new MeshProblem(MeshProblem.Reason.NOT_READABLE, line(xml));
    }
  }

  private MeshBuilder put() {
    MeshBuilder builder = new MeshBuilder();
    for (Placed item : items) {
      put(item, List.of(), builder);
    }
    return builder;
  }

  private void put(Placed what, List<List<Double>> outer, MeshBuilder builder) {
    Body body = objects.get(what.objectId);
    if (body == null || outer.size() > DEEPEST || ++placed > MOST_OBJECTS) {
      throw new MeshProblem(MeshProblem.Reason.HOSTILE, placed);
    }
    List<List<Double>> transforms = new ArrayList<>();
    transforms.add(what.transform);
    transforms.addAll(outer);
    int[] corner = new int[body.numbers / 3];
    // A small file can ask for the same large body again and again.
    cornersPlaced += corner.length;
    if (cornersPlaced > 3L * MeshBuilder.MOST_TRIANGLES) {
      throw new MeshProblem(MeshProblem.Reason.TOO_LARGE, MeshBuilder.MOST_TRIANGLES);
    }
    boolean mirrored = transforms.stream().filter(ThreeMf::mirrors).count() % 2 == 1;
    double[] p = new double[3];
    for (int v = 0; v < corner.length; v++) {
      System.arraycopy(body.xyz, 3 * v, p, 0, 3);
      for (List<Double> m : transforms) {
        apply(m, p);
      }
      corner[v] = builder.vertex(p[0], p[1], p[2]);
    }
    for (int t = 0; t < body.used; t += 3) {
      int a = body.corners[t];
      int b = body.corners[t + 1];
      int c = body.corners[t + 2];
      if (Math.min(a, Math.min(b, c)) < 0 || Math.max(a, Math.max(b, c)) >= corner.length) {
        throw new MeshProblem(MeshProblem.Reason.NOT_READABLE, t / 3 + 1);
      }
      builder.triangle(corner[a], corner[mirrored ? c : b], corner[mirrored ? b : c]);
    }
    for (Placed component : body.components) {
      put(component, transforms, builder);
    }
  }

  private static boolean mirrors(List<Double> m) {
    double determinant =
        m.get(0) * (m.get(4) * m.get(8) - m.get(5) * m.get(7))
            - m.get(1) * (m.get(3) * m.get(8) - m.get(5) * m.get(6))
            + m.get(2) * (m.get(3) * m.get(7) - m.get(4) * m.get(6));
    return determinant < 0;
  }

  /** Row vectors from the left: the first nine turn and stretch, the last three move. */
  private static void apply(List<Double> m, double[] p) {
    double x = p[0] * m.get(0) + p[1] * m.get(3) + p[2] * m.get(6) + m.get(9);
    double y = p[0] * m.get(1) + p[1] * m.get(4) + p[2] * m.get(7) + m.get(10);
    double z = p[0] * m.get(2) + p[1] * m.get(5) + p[2] * m.get(8) + m.get(11);
    p[0] = x;
    p[1] = y;
    p[2] = z;
  }
}
