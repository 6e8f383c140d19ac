package org.halfdusk.web.shoot;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.web.layout.drawing.NightStrip;
import org.halfdusk.web.layout.words.Html;
import org.halfdusk.web.subject.page.Banner;
import org.halfdusk.web.subject.page.Contact;

/**
 * What stands on every page of a shoot: its name, the seven steps with their answers, the strip, the caption.
 *
 * @param base where the steps of the shoot, through the rig that is shown, begin
 * @param day how the first step is called
 * @param clocks that they are changed in this night; empty otherwise
 * @param nextGoodNight only for the first step, the others have no use for it; empty where there is none
 * @param contacts of an eclipse, under the strip
 * @param banner a caution that is not to be overlooked
 * @param eclipses that fall into the night of another subject
 * @param moment how the playhead stands to the programme
 * @param curve the setting over the night, on the steps that are about it
 * @param was the fields' texts as this page shows them, sent back with every edit so that others' changes are noticed
 */
public record ShootPage(
        long id,
        String base,
        List<RigTab> rigs,
        String subject,
        String title,
        String place,
        String night,
        String saved,
        int undoable,
        String step,
        String day,
        List<Step> steps,
        NightStrip strip,
        String at,
        String atClock,
        String atField,
        String clocks,
        boolean twelveHours,
        String nextGoodNight,
        List<Contact> contacts,
        Optional<Banner> banner,
        List<EclipseNotice> eclipses,
        List<String> caption,
        String captionText,
        String verdict,
        Moment moment,
        Optional<CurveLine> curve,
        Map<String, String> was) {

    /** What fields were, as a form sends it along, HTML. @param fields their names */
    public String were(List<String> fields) {
        StringBuilder html = new StringBuilder();
        for (String f : fields) {
            html.append("<input type=\"hidden\" name=\"was.").append(f);
            html.append("\" value=\"")
                    .append(Html.escaped(was.getOrDefault(f, "")))
                    .append("\">");
        }
        return html.toString();
    }

    /** An eclipse in the night of another subject, and where it is planned. */
    public record EclipseNotice(String sentence, String href) {}

    /** One of the shoot's rigs. */
    public record RigTab(int number, String name, String href, boolean current) {}

    /** A tab: its answer, and where it leads; no link where the step is not built yet. */
    public record Step(String key, String name, String answer, String href, boolean current) {}
}
