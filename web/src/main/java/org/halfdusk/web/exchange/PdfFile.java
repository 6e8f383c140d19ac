package org.halfdusk.web.exchange;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.halfdusk.web.layout.Assets;

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
        builder.useFont(() -> Assets.stream("DejaVuSans.ttf"), "DejaVu Sans", 400, FontStyle.NORMAL, true);
        builder.useFont(() -> Assets.stream("DejaVuSans-Bold.ttf"), "DejaVu Sans", 700, FontStyle.NORMAL, true);
        builder.withHtmlContent(xhtml, null);
        builder.toStream(out);
        try {
            builder.run();
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException("the page cannot be written as PDF", e);
        }
    }
}
