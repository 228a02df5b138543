package outfell.server.sheet;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.springframework.stereotype.Component;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;
import org.thymeleaf.templatemode.TemplateMode;
import org.thymeleaf.templateresolver.ClassLoaderTemplateResolver;

/** Sets a sheet on one side of A4, across: as large as fits. */
@Component
class SheetPdf {
    private static final String FAMILY = "Sheet";
    private static final String FONTS = "/net/sf/jasperreports/fonts/dejavu/";
    /** Sizes tried, in points; what does not fit in the last goes over to a second side. */
    private static final List<Double> SIZES = List.of(10.5, 10.0, 9.5, 9.0, 8.5, 8.0, 7.5);

    private final TemplateEngine engine = new TemplateEngine();

    SheetPdf() {
        ClassLoaderTemplateResolver templates = new ClassLoaderTemplateResolver();
        templates.setPrefix("sheet/");
        templates.setSuffix(".html");
        templates.setTemplateMode(TemplateMode.HTML);
        engine.setTemplateResolver(templates);
    }

    byte[] set(Sheet sheet) {
        byte[] pdf = new byte[0];
        for (double size : SIZES) {
            pdf = set(sheet, size);
            if (sides(pdf) == 1) {
                return pdf;
            }
        }
        return pdf;
    }

    private byte[] set(Sheet sheet, double points) {
        Map<String, Object> facts = new HashMap<>();
        facts.put("points", points);
        facts.put("title", sheet.title());
        facts.put("air", sheet.air());
        facts.put("draft", sheet.draft());
        facts.put("practice", sheet.practice());
        facts.put("practiceLine", sheet.practiceLine());
        facts.put("next", sheet.next());
        facts.put("unsure", sheet.unsure());
        facts.put("lists", sheet.lists());
        facts.put("eveningsTitle", sheet.eveningsTitle());
        facts.put("evenings", sheet.evenings());
        facts.put("turns", sheet.turns());
        facts.put("notes", sheet.notes());
        facts.put("year", sheet.year());
        facts.put("foot", sheet.foot());
        String html = engine.process("sheet", new Context(Locale.UK, facts));
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            new PdfRendererBuilder()
                    .useFastMode()
                    .withProducer("Outfell")
                    .useFont(() -> font("DejaVuSansCondensed.ttf"), FAMILY, 400, FontStyle.NORMAL, true)
                    .useFont(() -> font("DejaVuSansCondensed-Bold.ttf"), FAMILY, 700, FontStyle.NORMAL, true)
                    .withHtmlContent(html, null)
                    .toStream(out)
                    .run();
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
        return out.toByteArray();
    }

    private static int sides(byte[] pdf) {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return document.getNumberOfPages();
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
    }

    private static InputStream font(String file) {
        return Objects.requireNonNull(SheetPdf.class.getResourceAsStream(FONTS + file), file);
    }
}
