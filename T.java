public class T { public static void main(String[] a) throws Exception { try { Class.forName("outfell.regimen.HerSun"); System.out.println("ok"); } catch (Throwable t) { t.printStackTrace(); } } }
