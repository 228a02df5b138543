package outfell.consultation;

import java.time.Month;
import java.util.List;
import java.util.Set;
import outfell.climate.Site;
import outfell.consultation.Consultation.ByHand;
import outfell.consultation.Consultation.House;
import outfell.consultation.Consultation.Owned;
import outfell.consultation.Consultation.Patched;
import outfell.consultation.Consultation.Standing;
import outfell.method.Method;
import outfell.product.Product;
import outfell.safety.Answers;
import outfell.skin.Concern;
import outfell.skin.SkinReading;
import outfell.week.Diary;

/** A consultation taken apart, so that some of it can be put otherwise and the rest stays. */
public final class Parts {
    private SkinReading reading;
    private Answers answers;
    private Life life;
    private Set<Concern> lifted;
    private List<Owned> shelf;
    private List<Product> catalogue;
    private Method method;
    private Site site;
    private Month month;
    private ByHand byHand;
    private Standing standing;
    private List<Patched> patches;
    private House house;
    private Diary diary;

    Parts(Consultation of) {
        this.reading = of.reading();
        this.answers = of.answers();
        this.life = of.life();
        this.lifted = of.lifted();
        this.shelf = of.shelf();
        this.catalogue = of.catalogue();
        this.method = of.method();
        this.site = of.site();
        this.month = of.month();
        this.byHand = of.byHand();
        this.standing = of.standing();
        this.patches = of.patches();
        this.house = of.house();
        this.diary = of.diary();
    }

    public Parts reading(SkinReading other) {
        this.reading = other;
        return this;
    }

    public Parts answers(Answers other) {
        this.answers = other;
        return this;
    }

    public Parts life(Life other) {
        this.life = other;
        return this;
    }

    public Parts lifted(Set<Concern> other) {
        this.lifted = other;
        return this;
    }

    public Parts shelf(List<Owned> other) {
        this.shelf = other;
        return this;
    }

    public Parts catalogue(List<Product> other) {
        this.catalogue = other;
        return this;
    }

    public Parts method(Method other) {
        this.method = other;
        return this;
    }

    public Parts site(Site other) {
        this.site = other;
        return this;
    }

    public Parts month(Month other) {
        this.month = other;
        return this;
    }

    public Parts byHand(ByHand other) {
        this.byHand = other;
        return this;
    }

    public Parts standing(Standing other) {
        this.standing = other;
        return this;
    }

    public Parts patches(List<Patched> other) {
        this.patches = other;
        return this;
    }

    public Parts house(House other) {
        this.house = other;
        return this;
    }

    public Parts diary(Diary other) {
        this.diary = other;
        return this;
    }

    public Consultation together() {
        return new Consultation(
                reading, answers, life, lifted, shelf, catalogue, method, site, month, byHand, standing, patches, house,
                diary);
    }
}
