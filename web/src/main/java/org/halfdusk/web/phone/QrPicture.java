package org.halfdusk.web.phone;

import io.nayuki.qrcodegen.DataTooLongException;
import io.nayuki.qrcodegen.QrCode;

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
            QrCode code = QrCode.encodeText(address, QrCode.Ecc.MEDIUM);
            StringBuilder path = new StringBuilder();
            for (int y = 0; y < code.size; y++) {
                for (int x = 0; x < code.size; x++) {
                    if (code.getModule(x, y)) {
                        path.append('M')
                                .append(x + QUIET)
                                .append(' ')
                                .append(y + QUIET)
                                .append("h1v1h-1z");
                    }
                }
            }
            return new QrPicture(code.size + 2 * QUIET, path.toString());
        } catch (DataTooLongException e) {
            throw new IllegalArgumentException("address of " + address.length() + " signs does not fit into a code", e);
        }
    }
}
