/** The journeys in headless Chromium, against the packaged jar. */
@NullMarked
package outfell.browser;

import org.jspecify.annotations.NullMarked;
