/** What a plan is made for: a face, answers, a life, a shelf, a catalogue, a method, a place and a month; and what the aims weigh. */
@NullMarked
package outfell.consultation;

import org.jspecify.annotations.NullMarked;
