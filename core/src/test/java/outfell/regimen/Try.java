package outfell.regimen;
import java.util.*;
import java.time.*;
import outfell.climate.*;
import outfell.method.*;
import outfell.product.*;
import outfell.safety.Answers;
import outfell.skin.*;
public class Try {
  public static void main(String[] a) {
    for (var p : StarterCatalogue.products()) System.out.println(p.id()+" | "+p.kind()+" "+p.texture()+(p.waterFree()?" waterfree":"")+" spf"+p.spf()+" "+p.actives().stream().map(x->x.kind()+" "+x.strength()).toList()+" "+p.composition()+" unk="+p.label().unknown());
    List<Observation> o = new ArrayList<>();
    int[][] g={{3,3,2,1,1},{0,0,0,1,1},{1,0,0,2,2},{1,1,1,1,1},{0,0,0,0,0},{1,2,1,0,0},{1,0,2,0,0}};
    Sign[] s={Sign.SHINE,Sign.FLAKING,Sign.TIGHTNESS,Sign.REDNESS,Sign.STING,Sign.CONGESTION,Sign.SPOTS};
    Zone[] z={Zone.FOREHEAD,Zone.NOSE,Zone.CHIN,Zone.CHEEK_R,Zone.CHEEK_L};
    for(int i=0;i<s.length;i++)for(int k=0;k<5;k++)o.add(new Observation(z[k],s[i],g[i][k],How.SEEN));
    for (String m : List.of("classic","layered")) for (Month mo : List.of(Month.NOVEMBER, Month.JULY)) {
    var c = new Consultation(new SkinReading(o,List.of(),OptionalInt.of(1),OptionalInt.of(0),List.of()), Answers.NONE, new Consultation.Life(8,20,m.equals("classic")?7:10,4,2,3,true,Consultation.Scent.ANY), Set.of(), List.of(), StarterCatalogue.products(), Methods.find(m).get(), Sites.find("skarrow-harbour").get(), mo, List.of(), List.of(), Consultation.Standing.NONE);
    long t=System.nanoTime(); var out=(Outcome.Planned)Planner.plan(c); t=System.nanoTime()-t;
    if(mo==Month.NOVEMBER&&m.equals("classic")){System.out.println(out.skin().type().words()+" "+out.skin().type().because()+" "+out.skin().water()+out.skin().barrier()+out.skin().sensitivity()); out.skin().concerns().forEach(System.out::println);}
    System.out.println("=== "+m+" "+mo+" ms "+t/1e6+" "+out.regimen().asked().air());
    for (var r : List.of(out.regimen().morning(), out.regimen().evening())) { System.out.println("-- "+r.part()+" "+r.timeline()); r.steps().forEach(x->System.out.println("  "+x.number()+" "+x.name()+" | "+x.amount().words()+" | "+x.technique()+" w"+x.settle()+" "+x.nights()+" | "+x.place().sentence()+" | "+x.purpose().stream().map(b->b.sentence()).toList())); }
    out.regimen().alternatives().forEach(x->System.out.println("   alt "+x.instead()+" "+x.choices().stream().map(y->y.name()+" -"+y.behind()+" "+y.because().sentence()).toList()));
    System.out.println(out.regimen().notices()+" "+out.regimen().served().stream().map(x->x.concern()+x.weight()+x.by()).toList());
    var turned = Planner.turn(c, mo==Month.NOVEMBER?Month.JULY:Month.JANUARY).get(); turned.changes().forEach(x->System.out.println("   change "+x)); System.out.println("NODES "+new Draft(c,out.skin(),out.safety(),Planner.ask(c,out.skin())).found().visited());
    }
  }
}
