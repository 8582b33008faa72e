package org.umberloom.core.dress;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Role;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.FluidValue;
import org.umberloom.core.token.FontWeightValue;
import org.umberloom.core.token.NumberValue;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;

/** Tokens for roles of type, space, widths and shape: by names, and by the order of their sizes. Sizes in px. */
final class OtherRoles {
    private static final double TELLING = 2;
    private static final double CERTAIN = 6;
    private static final double BODY_PX = 16;
    /** What the contract's headings are as a share of body text, from level 1 on, and what lead and small print are. Common practice. */
    private static final Map<String, Double> TIMES = times();
    /** Sizes that gaps and widths are looked for near, with how far off they may be, as a factor. Common practice. */
    private static final Map<String, double[]> NEAR = Map.of(
            "gap.inset",
            new double[] {8, 1.6},
            "gap.flow",
            new double[] {16, 1.6},
            "gap.block",
            new double[] {32, 1.6},
            "gap.section",
            new double[] {56, 1.8},
            "width.gutter",
            new double[] {20, 1.7},
            "width.text",
            new double[] {640, 1.25},
            "width.content",
            new double[] {800, 1.25},
            "width.wide",
            new double[] {1152, 1.3},
            "shape.radius",
            new double[] {5, 2.5},
            "shape.line",
            new double[] {1, 2.2});

    private record Sized(TokenPath path, double px) {}

    private final Resolution resolution;
    private final Worn worn;
    private final List<Assignment> assignments = new ArrayList<>();

    private OtherRoles(Resolution resolution) {
        this.resolution = resolution;
        worn = Worn.of(resolution);
    }

    static List<Assignment> propose(Resolution resolution) {
        OtherRoles roles = new OtherRoles(resolution);
        roles.type();
        roles.lengths();
        roles.shadow();
        return roles.assignments;
    }

    private static Map<String, Double> times() {
        Map<String, Double> times = new LinkedHashMap<>();
        String[] names = {
            "body", "h1", "h2", "h3", "h4", "h5", "h6", "lead", "small", "label", "code", "quote", "menu", "wordmark"
        };
        double[] sizes = {1, 2.5, 2, 1.5, 1.25, 1.125, 1, 1.25, 0.875, 1, 0.9, 1.25, 1, 1.25};
        for (int i = 0; i < names.length; i++) times.put(names[i], sizes[i]);
        return times;
    }

    private void type() {
        List<Resolved> families = of(TokenType.FONT_FAMILY);
        List<Sized> sizes = sizes();
        boolean parts = !families.isEmpty() || sizes.size() >= 3;
        Optional<TokenPath> body = pick(families, "type.body")
                .or(() -> families.stream().map(Resolved::path).findFirst());
        Optional<TokenPath> heading = pick(families, "type.heading").or(() -> body);
        Optional<TokenPath> code = pick(families, "type.code");
        List<Resolved> weights = of(TokenType.FONT_WEIGHT);
        double base = nearest(sizes, BODY_PX, 1.2).map(Sized::px).orElse(BODY_PX);
        TIMES.forEach((name, times) -> {
            Role role = Contract.standard().role("type." + name);
            Optional<Resolved> whole = best(of(TokenType.TYPOGRAPHY), role.path());
            if (whole.isPresent()) {
                add(role, new Alias(whole.get().path()), score(whole.get(), role.path()), "a text style of that name");
                return;
            }
            if (!parts) return;
            boolean head = name.matches("h[1-6]|wordmark");
            Optional<TokenPath> family = name.equals("code") ? code : head ? heading : body;
            Optional<Sized> size =
                    nearest(sizes, base * times, name.equals("body") || name.equals("small") ? 1.2 : 1.35);
            if (family.isEmpty() && size.isEmpty()) return;
            TypographyValue standing =
                    (TypographyValue) worn.find(role.path()).orElseThrow().value();
            Optional<TokenPath> weight = weight(weights, head || name.equals("label") ? 600 : 400);
            Optional<TokenPath> line = line(head ? 1.2 : 1.5);
            add(
                    role,
                    new TypographyValue(
                            or(family, standing.fontFamily()),
                            or(size.map(Sized::path), standing.fontSize()),
                            or(weight, standing.fontWeight()),
                            standing.letterSpacing(),
                            or(line, standing.lineHeight())),
                    family.isPresent() && size.isPresent() ? 4 : TELLING,
                    "composed of family, size, weight and line height");
        });
    }

    private static TokenValue or(Optional<TokenPath> token, TokenValue otherwise) {
        return token.<TokenValue>map(Alias::new).orElse(otherwise);
    }

    private Optional<TokenPath> pick(List<Resolved> tokens, String role) {
        return best(tokens, role).map(Resolved::path);
    }

    private Optional<Resolved> best(List<Resolved> tokens, String role) {
        return tokens.stream()
                .filter(token -> score(token, role) >= TELLING)
                .max(Comparator.comparingDouble(token -> score(token, role)));
    }

    private static double score(Resolved token, String role) {
        return Words.knows(role) ? Words.of(role).score(token.path()) : 0;
    }

    private static String reason(Resolved token, String role) {
        return Words.knows(role) ? Words.of(role).reason(token.path()) : "its name fits";
    }

    private List<Resolved> of(TokenType type) {
        return resolution.tokens().values().stream()
                .filter(token -> token.type() == type
                        && Contract.standard().filledBy(token.path().dotted()).isEmpty())
                .toList();
    }

    private List<Sized> sizes() {
        Words words = Words.of("size");
        return of(TokenType.DIMENSION).stream()
                .filter(token -> words.score(token.path()) >= TELLING)
                .map(token -> new Sized(token.path(), FluidValue.wide(token.value())))
                .filter(size -> size.px >= 9 && size.px <= 120)
                .toList();
    }

    private static Optional<Sized> nearest(List<Sized> sizes, double px, double factor) {
        return sizes.stream()
                .filter(size -> Math.abs(Math.log(size.px / px)) <= Math.log(factor))
                .min(Comparator.comparingDouble(size -> Math.abs(Math.log(size.px / px))));
    }

    private Optional<TokenPath> weight(List<Resolved> weights, int wanted) {
        return weights.stream()
                .filter(token -> Math.abs(((FontWeightValue) token.value()).weight() - wanted) <= 100)
                .min(Comparator.comparingDouble(token -> Math.abs(((FontWeightValue) token.value()).weight() - wanted)))
                .map(Resolved::path);
    }

    private Optional<TokenPath> line(double wanted) {
        Words words = Words.of("line");
        return of(TokenType.NUMBER).stream()
                .filter(token -> words.score(token.path()) >= TELLING
                        && Math.abs(((NumberValue) token.value()).number() - wanted) <= 0.16)
                .min(Comparator.comparingDouble(token -> Math.abs(((NumberValue) token.value()).number() - wanted)))
                .map(Resolved::path);
    }

    private void lengths() {
        double before = 0;
        for (Role role : Contract.standard().roles().values()) {
            double[] near = NEAR.get(role.path());
            if (near == null) continue;
            String kind = Words.knows(role.path())
                    ? role.path()
                    : role.path().equals("width.gutter") ? "gap" : role.path().split("\\.")[0];
            Words words = Words.of(kind);
            boolean width = role.path().startsWith("width.") && !role.path().equals("width.gutter");
            double least = width ? before : 0;
            Optional<Sized> found = nearest(
                    of(TokenType.DIMENSION).stream()
                            .filter(token -> words.score(token.path()) >= TELLING)
                            .map(token -> new Sized(token.path(), FluidValue.wide(token.value())))
                            .filter(size -> size.px > least)
                            .toList(),
                    near[0],
                    near[1]);
            if (found.isEmpty()) continue;
            if (width) before = found.get().px;
            add(role, new Alias(found.get().path), 3.5, "of that kind, and the nearest in size");
        }
    }

    private void shadow() {
        Role role = Contract.standard().role("shadow.card");
        best(of(TokenType.SHADOW), role.path())
                .ifPresent(token ->
                        add(role, new Alias(token.path()), score(token, role.path()), reason(token, role.path())));
    }

    private void add(Role role, TokenValue value, double score, String reason) {
        assignments.add(new Assignment(role.path(), value, Math.min(1, score / CERTAIN), reason));
    }
}
