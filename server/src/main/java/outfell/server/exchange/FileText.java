package outfell.server.exchange;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.nio.charset.UnsupportedCharsetException;
import java.util.List;
import java.util.Optional;
import org.mozilla.universalchardet.UniversalDetector;
import outfell.server.exchange.Remark.Code;

/**
 * The text of a file, whatever code page a spreadsheet wrote it in.
 *
 * @param text without its byte order mark; empty where the file is no text
 * @param remarks what is to be said of how it was read
 */
record FileText(String text, List<Remark> remarks) {
    private static final char BYTE_ORDER_MARK = '\uFEFF';
    /** What most spreadsheets west of the Oder write where nothing tells. */
    private static final Charset OTHERWISE = Charset.forName("windows-1252");

    static FileText of(byte[] bytes) {
        if (bytes.length > 3 && bytes[0] == 'P' && bytes[1] == 'K' && bytes[2] == 3) {
            return broken("This is a spreadsheet's own file, not text. Save it there as CSV and choose that.");
        }
        Optional<String> utf8 = decoded(bytes, StandardCharsets.UTF_8);
        if (utf8.isPresent() && utf8.get().indexOf('\0') < 0) {
            return new FileText(marked(utf8.get()), List.of());
        }
        Charset charset = detected(bytes);
        Optional<String> read = decoded(bytes, charset);
        String text = marked(read.orElseGet(() -> new String(bytes, charset)));
        if (text.indexOf('\0') >= 0) {
            return broken("This is no text file: CSV or JSON is meant.");
        }
        return new FileText(
                text,
                List.of(new Remark(
                        0,
                        "",
                        Code.CODE_PAGE,
                        "The file is not written in UTF-8; it was read as %s. Look whether its accents are right; if not, save it as \"CSV UTF-8\"."
                                .formatted(charset.name()))));
    }

    private static FileText broken(String sentence) {
        return new FileText("", List.of(new Remark(0, "", Code.NO_TEXT, sentence)));
    }

    private static Optional<String> decoded(byte[] bytes, Charset charset) {
        try {
            return Optional.of(charset.newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .onUnmappableCharacter(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(bytes))
                    .toString());
        } catch (CharacterCodingException another) {
            return Optional.empty();
        }
    }

    private static Charset detected(byte[] bytes) {
        UniversalDetector detector = new UniversalDetector();
        detector.handleData(bytes, 0, bytes.length);
        detector.dataEnd();
        String name = detector.getDetectedCharset();
        try {
            return name == null ? OTHERWISE : Charset.forName(name);
        } catch (UnsupportedCharsetException strange) {
            return OTHERWISE;
        }
    }

    private static String marked(String text) {
        return !text.isEmpty() && text.charAt(0) == BYTE_ORDER_MARK ? text.substring(1) : text;
    }
}
