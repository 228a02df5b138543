package outfell.server.exchange;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import outfell.server.catalogue.ProductForm;
import outfell.server.client.ClientStore;

/**
 * One product of a file, checked.
 *
 * @param id as the file gives it; empty when it gives none
 * @param use how it is used; all that a catalogue says is that it is new
 * @param given columns that the file has; what it has not stays as it is
 */
record Row(
        int line,
        String id,
        ProductForm form,
        @Nullable LocalDate retired,
        ClientStore.Use use,
        List<DayOfWeek> nights,
        Set<String> given) {}
