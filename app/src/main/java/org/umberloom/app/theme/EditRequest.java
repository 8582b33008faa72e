package org.umberloom.app.theme;

import com.fasterxml.jackson.annotation.JsonAnySetter;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import org.umberloom.core.format.EditJson;
import org.umberloom.core.theme.Asked;

/**
 * An edit as the front end asks for it. Beside what it is looked at, its fields are those of the edit itself, as {@link EditJson}
 * reads them.
 *
 * @param base  the revision it was made on
 * @param combo the combination that the instruments show
 * @param bays  the combinations that the bays show
 * @param lean  of a probe: whether surfaces and findings are left out, as they are while a pointer moves
 */
record EditRequest(@NotNull Integer base, @Size(max = 2000) String combo, @Size(max = 12) List<@NotNull @Size(max = 2000) String> bays,
                   Boolean lean, @JsonAnySetter Map<String, Object> edit) {
    /** @throws IllegalArgumentException with a sentence for people when it is no edit that is known */
    Asked asked() {
        return EditJson.asked(edit == null ? Map.of() : edit);
    }

    List<String> baysOrNone() {
        return bays == null ? List.of() : bays;
    }

    String comboOrDefault() {
        return combo == null ? "" : combo;
    }
}
