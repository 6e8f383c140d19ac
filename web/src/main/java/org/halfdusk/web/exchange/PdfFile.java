package org.halfdusk.web.exchange;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Optional;

/** Pages as PDF, tagged (PDF/UA-1) and to be kept (PDF/A-3u), with fonts and colours in them. */
public final class PdfFile {
    private PdfFile() {}

    /** @param xhtml well-formed, its styles in it, written in the family "DejaVu Sans" */
    public static byte[] of(String xhtml) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PdfRendererBuilder builder = new PdfRendererBuilder();
        builder.useFastMode();
        // Tagged for those who hear it read, and whole for those who open it in ten years.
        builder.usePdfUaAccessibility(true);
        builder.usePdfAConformance(PdfRendererBuilder.PdfAConformance.PDFA_3_U);
        builder.useColorProfile(ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData());
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
