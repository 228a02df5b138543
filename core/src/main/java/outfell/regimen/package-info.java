/** The one front door: a consultation in, a regimen or a referral out; pure and deterministic. */
@NullMarked
package outfell.regimen;

import org.jspecify.annotations.NullMarked;
