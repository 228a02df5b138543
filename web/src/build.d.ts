/** The build that this is, so that what an earlier one has kept is not taken for its own. */
declare const __BUILD__: string
