package org.halfdusk.web.shoot;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.halfdusk.web.shoot.edit.ShootEditing;
import org.springframework.stereotype.Component;

/** What every step does with a form: saves and goes back to the page, or shows it again with what is wrong. */
@Component
public class StepForms {
    private final ShootEditing editing;

    StepForms(ShootEditing editing) {
        this.editing = editing;
    }

    /**
     * @param step as in the address
     * @param more what it changes beside the fields that it names
     * @param partial whether the page's script asks: it is answered with the page at once instead of being sent to it
     * @param again renders the page with the result of a form that was not saved
     * @return the view or redirect
     */
    public String answer(
            long id,
            int rig,
            String step,
            Map<String, String> form,
            ShootEditing.More more,
            boolean partial,
            HttpServletResponse response,
            Function<ShootEditing.Result, String> again) {
        ShootEditing.Result result = editing.apply(id, rig, form, more);
        if (result.saved()) {
            // Another night or place has another best moment; everything else keeps the playhead.
            boolean sameSky = !form.containsKey("NIGHT") && !form.containsKey("PLACE");
            Optional<String> at =
                    Playhead.understood(Optional.ofNullable(form.get("at"))).filter(a -> sameSky);
            String page = ShootDesk.Open.base(id, rig) + "/" + step
                    + at.map(a -> "?at=" + a).orElse("");
            if (partial && sameSky) {
                response.setHeader("HX-Push-Url", page);
                return again.apply(result);
            }
            return "redirect:" + page;
        }
        response.setStatus(result.refusal().value());
        return again.apply(result);
    }
}
