package org.halfdusk.web.phone;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.Map;

/**
 * An address as a QR code to point a phone at.
 *
 * @param size of its side in modules, the quiet edge included
 * @param path of all dark modules
 */
record QrPicture(int size, String path) {
    private static final int QUIET = 4;

    static QrPicture of(String address) {
        try {
            BitMatrix m = new QRCodeWriter()
                    .encode(
                            address,
                            BarcodeFormat.QR_CODE,
                            0,
                            0,
                            Map.of(
                                    EncodeHintType.MARGIN,
                                    QUIET,
                                    EncodeHintType.ERROR_CORRECTION,
                                    ErrorCorrectionLevel.M));
            StringBuilder path = new StringBuilder();
            for (int y = 0; y < m.getHeight(); y++) {
                for (int x = 0; x < m.getWidth(); x++) {
                    if (m.get(x, y)) {
                        path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
                    }
                }
            }
            return new QrPicture(m.getWidth(), path.toString());
        } catch (WriterException e) {
            throw new IllegalArgumentException("address of " + address.length() + " signs does not fit into a code", e);
        }
    }
}
