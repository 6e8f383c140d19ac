package org.halfdusk.shoot.review.taken;

import java.util.regex.Pattern;
import org.halfdusk.typed.Faults;
import org.halfdusk.typed.PlainText;

/**
 * A picture's file as it was when it was read; the file itself stays where it is.
 *
 * @param name without its folder, as it is shown
 * @param hash SHA-256 of its bytes, 64 hexadecimal digits: the same picture is known again by it
 * @param bytes its size
 * @param width as it is shown, px
 * @param height as it is shown, px
 */
public record FrameFile(String name, String hash, long bytes, int width, int height, Shot shot) {
    public static final int LONGEST_NAME = 200;

    private static final Pattern HASH = Pattern.compile("[0-9a-f]{64}");

    public FrameFile {
        name = PlainText.shortened(name, LONGEST_NAME, "frame");
        Faults faults = new Faults();
        if (!HASH.matcher(hash).matches()) {
            faults.add("hash “" + PlainText.shortened(hash, 80, "") + "” is not 64 hexadecimal digits");
        }
        if (bytes < 0 || width < 1 || height < 1) {
            faults.add("a file of " + bytes + " bytes, " + width + " by " + height + " px, is none");
        }
        faults.refuse();
    }
}
