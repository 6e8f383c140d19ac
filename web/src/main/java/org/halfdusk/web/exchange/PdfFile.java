package org.halfdusk.web.exchange;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Optional;

/** Pages as PDF, with the fonts in them. */
public final class PdfFile {
    private PdfFile() {}

    /** @param xhtml well-formed, its styles in it, written in the family "DejaVu Sans" */
    public static byte[] of(String xhtml) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PdfRendererBuilder builder = new PdfRendererBuilder();
        builder.useFastMode();
        builder.useFont(() -> font("DejaVuSans.ttf"), "DejaVu Sans", 400, FontStyle.NORMAL, true);
        builder.useFont(() -> font("DejaVuSans-Bold.ttf"), "DejaVu Sans", 700, FontStyle.NORMAL, true);
        builder.withHtmlContent(xhtml, null);
        builder.toStream(out);
        try {
            builder.run();
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException("the page cannot be written as PDF", e);
        }
    }

    private static InputStream font(String name) {
        return Optional.ofNullable(PdfFile.class.getResourceAsStream("/static/assets/" + name))
                .orElseThrow(() -> new IllegalStateException("font " + name + " is missing"));
    }
}
