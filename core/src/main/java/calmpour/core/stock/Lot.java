package calmpour.core.stock;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * One bottle or jar, or several bought together.
 *
 * @param code what is printed on it to tell lots apart
 * @param openedOn null while it is shut
 * @param leftG what is left in it, g
 * @param price paid for {@code boughtG}, in the shop's own money
 * @param boughtG what that price was for, g
 */
public record Lot(
    String code,
    @Nullable LocalDate openedOn,
    @Nullable Double leftG,
    @Nullable Double price,
    @Nullable Double boughtG) {
  public static final Range LEFT_G = new Range(0, 1_000_000);
  public static final Range PRICE = new Range(0, 100_000);
  public static final Range BOUGHT_G = new Range(0.1, 1_000_000);

  public Lot {
    new Check()
        .name("code", code)
        .within("leftG", leftG, LEFT_G)
        .within("price", price, PRICE)
        .within("boughtG", boughtG, BOUGHT_G)
        .orThrow();
  }
}
