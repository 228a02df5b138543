package outfell.server.visit;

import java.util.List;
import outfell.causes.PartBalance;
import outfell.climate.Air;
import outfell.routine.Routine;
import outfell.year.WhatIf;

/**
 * The plan in an air that is only thought of, as it is drawn.
 *
 * @param moved what that air asks otherwise than the month's
 */
public record WhatIfView(
        Air air, Routine morning, Routine evening, List<PartBalance> balances, List<WhatIf.MovedByAir> moved) {
    static WhatIfView of(WhatIf w) {
        return new WhatIfView(
                w.air(), w.plan().morning(), w.plan().evening(), w.plan().balances(), w.moved());
    }
}
