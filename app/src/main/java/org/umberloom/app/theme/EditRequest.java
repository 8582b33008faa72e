package org.umberloom.app.theme;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.format.EditJson;
import org.umberloom.core.theme.Asked;

/**
 * An edit as the front end asks for it, and what is looked at meanwhile.
 *
 * @param base  the revision it was made on
 * @param combo the combination that the instruments show
 * @param bays  the combinations that the bays show
 * @param lean  of a probe: whether surfaces and findings are left out, as they are while a pointer moves
 * @param sites the revision of each site that is looked at, by its short name; an edit of a place in one was made on it
 * @param edit  what to do, as {@link EditJson} reads it
 */
record EditRequest(
        @NotNull Integer base,
        @Size(max = 2000) String combo,
        @Size(max = 12) List<@NotNull @Size(max = 2000) String> bays,
        Boolean lean,
        @Size(max = 40) Map<String, Integer> sites,
        @NotNull Map<String, Object> edit) {
    /** @throws IllegalArgumentException with a sentence for people when it is no edit that is known */
    Asked asked() {
        return EditJson.asked(edit);
    }

    List<String> baysOrNone() {
        return bays == null ? List.of() : bays;
    }

    /** The revision at which a site was seen; none where it was not said. */
    Optional<Integer> seen(String site) {
        return Optional.ofNullable(sites).map(all -> all.get(site));
    }

    String comboOrDefault() {
        return combo == null ? "" : combo;
    }
}
