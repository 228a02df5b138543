package outfell.week;

import java.time.LocalDate;
import outfell.product.ProductId;

/**
 * One evening on which the therapist herself has put a thing, or has left it out.
 *
 * @param on whether it is put on that evening
 * @param why her reason; a thing put on against advice needs one
 */
public record HandNight(ProductId product, LocalDate date, boolean on, String why) {}
