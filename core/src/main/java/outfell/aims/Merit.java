package outfell.aims;

/** What a product earns or loses points for by itself. */
public enum Merit {
    OWNED("it is on the client's shelf"),
    STANDING("it stands in the plan already"),
    DUPLICATE("another of its kind is on the shelf"),
    WANTED("the skin, the day or the air asks for it"),
    SCHOOL("the method asks for it"),
    ONE_MORE_STEP("one more step"),
    TEXTURE("the texture is off"),
    STRONG_SURFACTANT("a strong surfactant"),
    CREAMY_WASH("a creamy wash is the milder one in dry air"),
    CARRIER_OIL("a serum in oil is the kinder one in dry air"),
    CARRIER_HEAVY("a serum in oil is heavy in heat"),
    LIPS("lips crack in dry air"),
    MINERAL("mineral filters sting a sensitive skin least"),
    STINGS("drying alcohol or menthol that stays on"),
    VITAMIN_C_BY_DAY("vitamin C adds to the sunscreen by day"),
    VITAMIN_C_BY_NIGHT("vitamin C belongs to the morning, where it adds to the sunscreen"),
    PERFUME("perfume on a sensitive skin"),
    DISLIKED("something that is not liked"),
    COMEDOGENIC("ingredients that old scores call comedogenic, debated");

    private final String words;

    Merit(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
