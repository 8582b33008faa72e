package org.umberloom.kit;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.jsoup.nodes.Document;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.theme.Combination;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.FontFamilyValue;
import org.umberloom.core.token.TypographyValue;
import org.umberloom.kit.font.FontCatalog;

/** Which font files a page shows first, so that browsers fetch them before they have read the style sheet. */
final class FirstView {
    private static final List<String> BODY = List.of("type.body");
    private static final List<String> WITH_TITLE = List.of("type.body", "type.h1");

    private final Worn worn;
    private final FontCatalog catalog;
    private final FontNeed need;

    /** @param look in which the pages are shown */
    FirstView(ThemeDocument theme, Combination look, FontCatalog catalog, FontNeed need) {
        worn = Worn.of(Resolution.of(theme, look));
        this.catalog = catalog;
        this.need = need;
    }

    /** Upright letters of running text, and of the title where there is one. */
    Set<String> files(Document page) {
        Set<String> files = new LinkedHashSet<>();
        for (String style : page.selectFirst("h1") == null ? BODY : WITH_TITLE)
            if (worn.at(Contract.standard().role(style), Surfaces.PAGE).value() instanceof TypographyValue value
                    && value.fontFamily() instanceof FontFamilyValue families)
                catalog.find(families.families().get(0))
                        .filter(FontCatalog.Family::travels)
                        .map(FontCatalog.Family::basic)
                        .filter(need::of)
                        .ifPresent(part -> files.add(part.file()));
        return files;
    }
}
