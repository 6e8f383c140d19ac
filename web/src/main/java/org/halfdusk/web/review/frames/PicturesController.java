package org.halfdusk.web.review.frames;

import java.time.Duration;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.done.Frames;
import org.halfdusk.shoot.review.taken.TakenFrame;
import org.halfdusk.web.door.refusal.NotFound;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The small pictures of frames. */
@Controller
class PicturesController {
    private final Frames frames;
    private final PictureStore pictures;

    PicturesController(Frames frames, PictureStore pictures) {
        this.frames = frames;
        this.pictures = pictures;
    }

    @GetMapping({"/frames/{id}/{kind:320|2048}.jpg", "/frames/{id}/{kind:star[0-8]}.png"})
    ResponseEntity<byte[]> picture(@PathVariable long id, @PathVariable String kind) {
        boolean star = kind.startsWith("star");
        Kept<TakenFrame> frame =
                frames.find(id).orElseThrow(() -> new NotFound("There is no frame number " + id + "."));
        byte[] bytes = pictures.get(frame.it().file().hash(), kind + (star ? ".png" : ".jpg"))
                .orElseThrow(() -> new NotFound("That picture of frame number " + id
                        + " is not kept any more; bringing the frame in again makes it."));
        return ResponseEntity.ok()
                .contentType(star ? MediaType.IMAGE_PNG : MediaType.IMAGE_JPEG)
                .cacheControl(CacheControl.maxAge(Duration.ofDays(30)).cachePrivate())
                .body(bytes);
    }
}
