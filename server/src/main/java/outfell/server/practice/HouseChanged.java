package outfell.server.practice;

/** Something by which every client's verdicts are reckoned was set anew; told within the change's transaction. */
public record HouseChanged() {}
