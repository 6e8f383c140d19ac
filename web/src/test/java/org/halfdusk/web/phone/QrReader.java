package org.halfdusk.web.phone;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.ReaderException;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.awt.image.BufferedImage;

/** Reads QR codes with a library that did not draw them. */
public final class QrReader {
    private QrReader() {}

    /** What the code of a picture says. */
    public static String read(BufferedImage image) throws ReaderException {
        int w = image.getWidth();
        int h = image.getHeight();
        int[] pixels = image.getRGB(0, 0, w, h, null, 0, w);
        return new QRCodeReader()
                .decode(new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(w, h, pixels))))
                .getText();
    }
}
