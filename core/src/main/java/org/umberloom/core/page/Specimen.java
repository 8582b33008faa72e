package org.umberloom.core.page;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;
import org.jsoup.nodes.Entities;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Part;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.token.Names;

/** The samples of all parts: what every theme can be looked at on, and where every pair of colors meets that rules bring together. */
public final class Specimen {
    /** Two roles that meet on a surface, by their names on it. */
    public record Touching(String role, String ground, Meeting.Kind kind) {}

    /** Name of the small stylesheet that keeps samples apart. */
    public static final String FRAME = "specimen.css";
    /** What stands in it. */
    public static final String FRAME_RULES =
            "[data-sample] { margin-block-end: var(--gap-section); }\nmain[data-alone] { display: block; padding: 24px; }\n";

    private static final String PAGE = template();

    private static final Map<Map<String, String>, List<Touching>> KNOWN = new ConcurrentHashMap<>();

    private Specimen() {}

    /** Which roles meet on a surface, each pair once. @param chosen values of choices; those not named stand at their standard */
    public static List<Touching> touching(Map<String, String> chosen) {
        return KNOWN.computeIfAbsent(Contract.standard().completed(chosen), Specimen::collect);
    }

    private static List<Touching> collect(Map<String, String> chosen) {
        Map<List<String>, Touching> found = new LinkedHashMap<>();
        for (PageColors.Found one : PageColors.of(page(Surfaces.PAGE, Map.of()), chosen)) {
            Meeting meeting = one.meeting();
            Touching touching = new Touching(role(meeting.foreground()), role(meeting.ground()), meeting.kind());
            // Text asks for more than a shape does.
            found.merge(
                    List.of(touching.role, touching.ground), touching, (a, b) -> a.kind == Meeting.Kind.TEXT ? a : b);
        }
        return List.copyOf(new ArrayList<>(found.values()));
    }

    /**
     * The page that shows every part on one surface, with the frame of a page around it.
     *
     * @param surface its name; the parts stand on it, and the frame on the page's own
     * @param links   further specimens, as addresses by their titles
     */
    public static String page(String surface, Map<String, String> links) {
        StringBuilder menu = new StringBuilder();
        links.forEach((title, address) -> menu.append("<li><a href=\"")
                .append(Entities.escape(address))
                .append('"')
                .append(title.equals(surface) ? " aria-current=\"page\"" : "")
                .append('>')
                .append(Entities.escape(title))
                .append("</a></li>"));
        StringBuilder main = new StringBuilder();
        List<Part> parts = new ArrayList<>(Contract.standard().parts());
        parts.sort(Comparator.comparingInt(Part::shown));
        for (Part part : parts)
            if (!part.sample().isEmpty())
                main.append("<section data-sample=\"")
                        .append(part.name())
                        .append("\">\n<p><small>")
                        .append(Entities.escape(part.title()))
                        .append("</small></p>\n")
                        .append(part.sample())
                        .append("\n</section>\n");
        String stands = surface.equals(Surfaces.PAGE) ? "" : " data-surface=\"" + Entities.escape(surface) + "\"";
        return PAGE.replace("{surface}", Entities.escape(surface))
                .replace("{stands}", stands)
                .replace("{menu}", menu)
                .replace(
                        "{main}",
                        stands.isEmpty() ? main : "<div data-width=\"full\"" + stands + ">\n" + main + "</div>\n");
    }

    /** A page that shows one part alone on a surface. @throws NoSuchElementException when there is no such part, or it has no sample */
    public static String part(String name, String surface) {
        Part part = Contract.standard().parts().stream()
                .filter(one -> one.name().equals(name) && !one.sample().isEmpty())
                .findFirst()
                .orElseThrow(() -> new NoSuchElementException(
                        "There is no part “" + Names.shown(name) + "” that could be shown."));
        String stands = surface.equals(Surfaces.PAGE) ? "" : " data-surface=\"" + Entities.escape(surface) + "\"";
        return "<!doctype html>\n<html lang=\"en\">\n<head>\n<meta charset=\"utf-8\">\n<title>"
                + Entities.escape(part.title())
                + "</title>\n<link rel=\"stylesheet\" href=\"theme.css\">\n<link rel=\"stylesheet\" href=\"" + FRAME
                + "\">\n</head>\n<body" + stands + ">\n<main data-alone>\n"
                + part.sample() + "\n</main>\n</body>\n</html>\n";
    }

    private static String template() {
        try (InputStream in = Specimen.class.getResourceAsStream("/specimen/page.html")) {
            return new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String role(String path) {
        return path.substring(Surfaces.path(Surfaces.PAGE, "").length());
    }
}
