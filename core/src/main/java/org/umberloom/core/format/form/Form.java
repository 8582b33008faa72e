package org.umberloom.core.format.form;

import java.util.List;
import java.util.Map;
import org.umberloom.core.theme.ThemeDocument;

/** A form in which a theme's values go out, for builds that have no use for pages. Equal themes give equal bytes. */
public interface Form {
    /** Every form, in the order in which they are offered. */
    List<Form> ALL = List.of(
            new CssForm(),
            new ScssForm(),
            new TailwindForm(),
            new ModuleForm(),
            new FlatJsonForm(),
            new PaletteForm(),
            new SheetForm());

    /** Short name, as it is asked for. */
    String id();

    /** For people, in a few words. */
    String title();

    /** Its files by their names. */
    default Map<String, String> write(ThemeDocument theme) {
        return write(FormValues.of(theme));
    }

    Map<String, String> write(FormValues values);

    /** @throws IllegalArgumentException that names all forms, when there is none of that name */
    static Form byId(String id) {
        return ALL.stream()
                .filter(form -> form.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("There is no form “"
                        + org.umberloom.core.token.Names.shown(id) + "”. The forms are "
                        + String.join(", ", ALL.stream().map(Form::id).toList()) + "."));
    }
}
