package outfell.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.test.context.TestPropertySource;

/** How screens and answers come over the wire: packed, and kept as long as they are what they are. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@TestPropertySource(properties = {"outfell.memory=single-page", "outfell.demo=true", "outfell.probe.port=0"})
class SinglePageTest extends OverHttp {
    @Test
    void the_page_is_asked_for_anew_and_what_it_names_is_kept_for_good() throws Exception {
        HttpResponse<byte[]> page = packed("/visits/any/regimen");
        assertThat(page.headers().firstValue("cache-control")).contains("no-cache");
        Matcher script = Pattern.compile("src=\"(/assets/[^\"]+\\.js)\"").matcher(text(page));
        assertThat(script.find()).isTrue();

        HttpResponse<byte[]> asset = packed(script.group(1));
        assertThat(asset.headers().firstValue("cache-control"))
                .hasValueSatisfying(
                        c -> assertThat(c).contains("max-age=31536000").contains("immutable"));
        assertThat(asset.headers().firstValue("content-encoding")).contains("gzip");
        assertThat(asset.headers().firstValue("content-type"))
                .hasValueSatisfying(t -> assertThat(t).contains("javascript"));
        assertThat(text(asset)).hasSizeGreaterThan(3 * asset.body().length);
    }

    @Test
    void an_answer_is_packed_where_that_is_understood() throws Exception {
        HttpResponse<byte[]> words = packed("/api/vocabulary");
        assertThat(words.headers().firstValue("content-encoding")).contains("gzip");
        assertThat(JSON.readTree(text(words))).isEqualTo(get("/api/vocabulary").body());
    }

    @Test
    void what_rarely_changes_is_not_sent_again_to_whoever_has_it() throws Exception {
        for (String path : List.of("/api/vocabulary", "/api/methods", "/api/practice/house")) {
            HttpResponse<byte[]> first = packed(path);
            String mark = first.headers().firstValue("etag").orElseThrow();
            assertThat(first.headers().firstValue("cache-control")).contains("no-cache");
            assertThat(ifNot(path, mark).statusCode()).as(path).isEqualTo(304);
            assertThat(ifNot(path, mark).body()).isEmpty();
            assertThat(ifNot(path, "W/\"another\"").statusCode()).as(path).isEqualTo(200);
        }
        assertThat(packed("/api/desk").headers().firstValue("etag")).isEmpty();
    }

    private HttpResponse<byte[]> ifNot(String path, String mark) throws Exception {
        return http.send(
                HttpRequest.newBuilder(URI.create("http://localhost:" + port + path))
                        .header("if-none-match", mark)
                        .build(),
                HttpResponse.BodyHandlers.ofByteArray());
    }

    private HttpResponse<byte[]> packed(String path) throws Exception {
        return http.send(
                HttpRequest.newBuilder(URI.create("http://localhost:" + port + path))
                        .header("accept-encoding", "gzip")
                        .build(),
                HttpResponse.BodyHandlers.ofByteArray());
    }

    private static String text(HttpResponse<byte[]> answer) throws Exception {
        byte[] body = answer.body();
        if (answer.headers()
                .firstValue("content-encoding")
                .filter("gzip"::equals)
                .isEmpty()) {
            return new String(body, StandardCharsets.UTF_8);
        }
        try (GZIPInputStream unpacked = new GZIPInputStream(new ByteArrayInputStream(body))) {
            return new String(unpacked.readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
