package org.umberloom.app.theme;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.color.CssColor;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Homes;
import org.umberloom.core.dress.Dressing;
import org.umberloom.core.dress.Takeover;
import org.umberloom.core.format.EditJson;
import org.umberloom.core.ground.Ground;
import org.umberloom.core.propose.ContrastProposal;
import org.umberloom.core.propose.SchemeProposal;
import org.umberloom.core.space.SpaceScale;
import org.umberloom.core.theme.Bulk;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Meaning;
import org.umberloom.core.theme.Modifier;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipe;
import org.umberloom.core.theme.Resolution;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Starter;
import org.umberloom.core.theme.Structure;
import org.umberloom.core.theme.Surfaces;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Alias;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Node;
import org.umberloom.core.token.Operation;
import org.umberloom.core.token.References;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;
import org.umberloom.core.token.ValueText;
import org.umberloom.core.type.TypeScale;

/** Turns what the front end asks for into an edit of the core, with refusals in sentences for people. */
final class RequestedEdit {
    private final EditRequest request;
    private final ThemeDocument theme;
    private final Resolution standard;

    RequestedEdit(EditRequest request, ThemeDocument theme, Resolution standard) {
        this.request = request;
        this.theme = theme;
        this.standard = standard;
    }

    Edit edit() {
        return switch (request.op()) {
            case "name" -> new Edit.SetName(text().trim());
            case "theme-description" -> new Edit.SetDescription(text().trim());
            case "exact" -> EditJson.read(text());
            case "propose-scheme" -> SchemeProposal.of(theme, text(), "anew".equals(request.to()));
            case "propose-contrast" -> ContrastProposal.of(theme);
            case "move" -> new Edit.Move(path(), TokenPath.of(required(request.to(), "to").trim()));
            case "rename-paths" -> Bulk.renamePaths(theme, text(), required(request.to(), "to"));
            case "replace-values" -> Bulk.replaceValues(theme, text(), required(request.to(), "to"));
            case "add-set" -> new Structure.AddSet(text().trim(), new ThemeDocument.TokenSet("", Group.EMPTY), -1, firstModifier());
            case "add-surface" -> addSurface();
            case "remove-surface" -> removeSurface();
            case "add-modifier" -> addModifier();
            case "add-context" -> new Structure.AddContext(required(request.to(), "to"), text().trim(), Group.EMPTY, -1);
            case "copy-place" -> copyPlace();
            case "rename-place" -> Structure.Rename.place(place(), text().trim());
            case "rename-modifier" -> Structure.Rename.modifier(required(request.to(), "to"), text().trim());
            case "remove-place" -> removePlace();
            case "remove-modifier" -> new Structure.RemoveModifier(required(request.to(), "to"));
            case "default-context" -> new Structure.SetDefault(required(request.to(), "to"), text());
            case "describe-place" -> describe();
            case "dress" -> dress();
            case "role" -> role();
            case "take-ramp" -> Takeover.of(theme, path(), text()).edit();
            case "meaning" -> new Structure.SetMeaning(required(request.to(), "to"), meaning());
            case "choice" -> Choices.choose(theme, place(), required(request.member(), "member"), Optional.of(text()).filter(value -> !value.isEmpty()));
            case "reorder" -> new Structure.Reorder(order());
            default -> inPlace();
        };
    }

    /** A further surface with every role of another, in every set and context that gives that one a role. */
    private Edit addSurface() {
        String name = text().trim();
        TokenPath to = surface(name);
        TokenPath from = path();
        List<Edit> edits = new ArrayList<>();
        for (Place place : theme.places()) {
            if (theme.at(place).find(to).isPresent())
                throw new IllegalArgumentException("There already is a surface “" + name + "”. Choose another name.");
            theme.at(place).find(from).ifPresent(node -> edits.add(new Edit.Put(place, to, node, -1)));
        }
        if (edits.isEmpty()) throw new IllegalArgumentException("There is no “" + from + "” whose roles could be taken over.");
        return new Edit.Batch("new surface " + name, edits);
    }

    private Edit removeSurface() {
        TokenPath at = path();
        if (at.equals(surface(Surfaces.PAGE)))
            throw new IllegalArgumentException("The surface “page” stays: every page stands on it.");
        List<Edit> edits = new ArrayList<>();
        for (Place place : theme.places())
            if (theme.at(place).find(at).isPresent()) edits.add(new Edit.Remove(place, at));
        if (edits.isEmpty()) throw new IllegalArgumentException("There is no “" + at + "” in this theme.");
        return new Edit.Batch("remove " + at, edits);
    }

    private Edit ground(Place place, TokenPath at) {
        Group surface = theme.at(place).group(at).orElseThrow(() ->
                new IllegalArgumentException("There is no surface “" + at + "” in " + place + "."));
        Optional<Ground> ground = Optional.ofNullable(request.ground()).map(EditRequest.GroundRequest::ground);
        String label = ground.map(lying -> at + " on " + lying.source()).orElse(at + " in plain color");
        return new Edit.Batch(label, List.of(new Edit.SetMeta(place, at, Ground.with(surface.meta(), ground))));
    }

    private static TokenPath surface(String name) {
        TokenPath.checkName(name);
        return TokenPath.of(Surfaces.GROUP).child(name);
    }

    private Edit inPlace() {
        Place place = place();
        TokenPath at = path();
        return switch (request.op()) {
            case "value" -> new Edit.SetValue(place, at, checked(ValueText.parse(typeOf(at), text()), typeOf(at)));
            case "member" -> new Edit.SetValue(place, at, withMember(place, at));
            case "new" -> create(place, at);
            case "ground" -> ground(place, at);
            case "meta" -> new Edit.SetMeta(place, at, meta(place, at));
            case "ramp" -> new Edit.SetRecipe(place, at, required(request.ramp(), "ramp").recipe());
            case "typeScale" -> new Edit.SetRecipe(place, at, new Recipe.TypeSteps(scale(required(request.typeScale(), "typeScale"))));
            case "spaceScale" -> new Edit.SetRecipe(place, at, new Recipe.SpaceSteps(
                    new SpaceScale(required(request.spaceScale(), "spaceScale").base(), request.spaceScale().factors())));
            case "attach" -> new Edit.Attach(place, at);
            case "detach" -> new Edit.Detach(place, at);
            case "remove-recipe" -> new Edit.RemoveRecipe(place, at);
            case "shift" -> Bulk.shift(theme, place, at, Operation.byId(text()), required(request.arguments(), "arguments"));
            case "hue" -> newHue(place, at);
            case "remove" -> Edit.Remove.whole(theme, place, at);
            default -> throw new IllegalArgumentException("“" + request.op() + "” is not an edit that is known here.");
        };
    }

    /** Where it is asked for; without that, where the value stands that is to be changed. */
    private Place place() {
        if ("".equals(request.place()) && request.path() != null)
            return standard.find(path().dotted()).map(Resolved::winner).orElseThrow(() -> new IllegalArgumentException("There is no token “" + path() + "” to set."));
        return Place.parse(required(request.place(), "place"));
    }

    private TokenPath path() {
        return TokenPath.of(required(request.path(), "path").trim());
    }

    private String text() {
        return required(request.text(), "text");
    }

    private Optional<TokenType> findType(TokenPath path) {
        Optional<TokenType> resolved = standard.find(path.dotted()).map(token -> token.type());
        if (resolved.isPresent()) return resolved;
        for (Place place : theme.places()) {
            TokenType[] found = {null};
            if (theme.at(place).token(path).isEmpty()) continue;
            theme.at(place).forEachToken((at, token, declared) -> {
                if (at.equals(path)) found[0] = declared.or(() -> token.value().type()).orElse(null);
            });
            if (found[0] != null) return Optional.of(found[0]);
        }
        return Optional.empty();
    }

    private TokenType typeOf(TokenPath path) {
        return findType(path).orElseThrow(() -> new IllegalArgumentException("There is no token “" + path + "” to set."));
    }

    /** Every reference must lead somewhere; a whole value by reference must have the right type. */
    private TokenValue checked(TokenValue value, TokenType type) {
        if (value instanceof Alias alias) {
            checkTarget(alias, type);
            return value;
        }
        References.forEach(value, target -> {
            boolean there = findType(target).isPresent() || theme.places().stream().anyMatch(p -> theme.at(p).find(target).isPresent());
            if (!there) throw new IllegalArgumentException("There is no token “" + target + "” to refer to.");
        });
        return value;
    }

    private void checkTarget(Alias alias, TokenType type) {
        TokenType actual = findType(alias.target()).orElseThrow(() ->
                new IllegalArgumentException("There is no token “" + alias.target() + "” to refer to."));
        if (actual != type)
            throw new IllegalArgumentException("“" + alias.target() + "” is a " + actual.id() + "; a " + type.id()
                    + " is needed here.");
    }

    private TokenValue withMember(Place place, TokenPath at) {
        // Written for the first time at a place, a style starts from what holds there so far.
        Optional<Token> token = theme.at(place).token(at).or(() -> standard.find(at.dotted()).map(Resolved::written));
        if (token.isEmpty() || !(token.get().value() instanceof TypographyValue style))
            throw new IllegalArgumentException("“" + at + "” is not a text style here.");
        String member = required(request.member(), "member");
        TokenType type = TypographyValue.typeOf(member);
        return style.withPart(member, checked(ValueText.parse(type, text()), type));
    }

    private Edit create(Place place, TokenPath at) {
        if (theme.at(place).find(at).isPresent())
            throw new IllegalArgumentException("There already is a “" + at + "” in " + place + ". Choose another path.");
        TokenType type = request.type() == null || request.type().isBlank() ? typeOf(at)
                : TokenType.byId(request.type()).orElseThrow(() -> new IllegalArgumentException("“" + request.type() + "” is not a type of token."));
        TokenValue value = checked(ValueText.parse(type, text()), type);
        boolean typed = declaredAt(place, at).equals(Optional.of(type));
        return new Edit.Put(place, at, new Token(value, typed ? Meta.NONE : Meta.typed(type)), -1);
    }

    private Optional<TokenType> declaredAt(Place place, TokenPath at) {
        Optional<TokenPath> parent = at.parent();
        while (parent.isPresent()) {
            Optional<TokenType> type = theme.at(place).group(parent.get()).flatMap(group -> group.meta().type());
            if (type.isPresent()) return type;
            parent = parent.get().parent();
        }
        return Optional.empty();
    }

    private Meta meta(Place place, TokenPath at) {
        Node node = theme.at(place).find(at).orElseThrow(() ->
                new IllegalArgumentException("There is no “" + at + "” in " + place + "."));
        Meta meta = node.meta();
        if (request.text() != null)
            meta = meta.withDescription(Optional.of(request.text().trim()).filter(text -> !text.isEmpty()));
        if (request.deprecated() != null)
            meta = meta.withDeprecated(request.deprecated() ? Optional.of(request.to() == null || request.to().isBlank()
                    ? (Object) true : request.to().trim()) : Optional.empty());
        if (request.type() != null)
            meta = meta.withType(TokenType.byId(request.type()));
        return meta;
    }

    private Edit newHue(Place place, TokenPath at) {
        if (theme.at(place).find(at).isPresent())
            throw new IllegalArgumentException("There already is a hue “" + at.name() + "”. Choose another name.");
        return new Edit.Put(place, at, Starter.hue(CssColor.parse(text())), -1);
    }

    /** A new set applies before the first modifier, so that looks and schemes still win over it. */
    private int firstModifier() {
        for (int i = 0; i < theme.order().size(); i++) if (theme.order().get(i).modifier()) return i;
        return theme.order().size();
    }

    private Edit addModifier() {
        Map<String, Group> contexts = new LinkedHashMap<>();
        for (String context : required(request.order(), "order")) if (!context.isBlank()) contexts.put(context.trim(), Group.EMPTY);
        if (contexts.isEmpty()) throw new IllegalArgumentException("A modifier needs at least one context, such as roomy, compact.");
        return new Structure.AddModifier(text().trim(), new Modifier("", contexts, contexts.keySet().iterator().next()), -1,
                theme.order().size());
    }

    private Edit copyPlace() {
        String name = text().trim();
        if (place() instanceof Place.InSet in) {
            ThemeDocument.TokenSet set = theme.sets().get(in.set());
            if (set == null) throw new IllegalArgumentException("The theme has no set “" + in.set() + "”.");
            int index = new ArrayList<>(theme.sets().keySet()).indexOf(in.set()) + 1;
            int order = theme.order().indexOf(ThemeDocument.OrderEntry.set(in.set()));
            return new Structure.AddSet(name, set, index, order < 0 ? -1 : order + 1);
        }
        Place.InContext in = context();
        int index = new ArrayList<>(theme.modifier(in.modifier()).contexts().keySet()).indexOf(in.context()) + 1;
        return new Structure.AddContext(in.modifier(), name, theme.at(in), index);
    }

    private Edit removePlace() {
        if (place() instanceof Place.InScope) return new Edit.PutAll(place(), Group.EMPTY);
        return place() instanceof Place.InSet in ? new Structure.RemoveSet(in.set())
                : new Structure.RemoveContext(context().modifier(), context().context());
    }

    private Edit describe() {
        return place() instanceof Place.InSet in ? new Structure.Describe("set", in.set(), text().trim())
                : new Structure.Describe("modifier", context().modifier(), text().trim());
    }

    private Place.InContext context() {
        if (place() instanceof Place.InContext in) return in;
        throw new IllegalArgumentException("“" + place() + "” is no set and no context of a modifier.");
    }

    /** Gives an unset role a value, where roles stand already or where it is asked for. */
    private Edit role() {
        TokenType type = Contract.standard().filledBy(path().dotted()).orElseThrow(() -> new IllegalArgumentException("“" + path() + "” is no role that pages read.")).type();
        String home = request.place() == null || request.place().isEmpty() ? Homes.of(theme).get("role") : request.place();
        if (home.isEmpty()) throw new IllegalArgumentException("No set of this theme holds roles yet. Choose under “Write into” where they shall stand.");
        Place place = Place.parse(home);
        TokenValue value = checked(ValueText.parse(type, text()), type);
        return theme.at(place).token(path()).isPresent() ? new Edit.SetValue(place, path(), value) : new Edit.Put(place, path(), new Token(value, Meta.typed(type)), -1);
    }

    private Edit dress() {
        Map<String, TokenValue> values = new LinkedHashMap<>();
        required(request.roles(), "roles").forEach((path, written) -> {
            TokenType type = Contract.standard().filledBy(path).orElseThrow(() -> new IllegalArgumentException("“" + path + "” is no role that pages read.")).type();
            values.put(path, checked(ValueText.parse(type, written), type));
        });
        return Dressing.edit(theme, values);
    }

    /** The contexts are named in order: light and dark of a scheme, the one for more of a contrast. */
    private Meaning meaning() {
        Meaning.Kind kind = Meaning.Kind.byId(text());
        List<String> parts = kind == Meaning.Kind.SCHEME ? List.of(Meaning.LIGHT, Meaning.DARK) : kind == Meaning.Kind.CONTRAST ? List.of(Meaning.MORE) : List.of();
        Map<String, String> contexts = new LinkedHashMap<>();
        List<String> named = request.order() == null ? List.of() : request.order();
        for (int i = 0; i < Math.min(parts.size(), named.size()); i++) contexts.put(parts.get(i), named.get(i));
        return new Meaning(kind, contexts);
    }

    private List<ThemeDocument.OrderEntry> order() {
        List<ThemeDocument.OrderEntry> order = new ArrayList<>();
        for (String entry : required(request.order(), "order")) {
            int colon = entry.indexOf(':');
            if (colon < 0) throw new IllegalArgumentException("“" + entry + "” is no entry of the order: write set:NAME or modifier:NAME.");
            order.add(new ThemeDocument.OrderEntry(entry.startsWith("modifier:"), entry.substring(colon + 1)));
        }
        return order;
    }

    private static TypeScale scale(EditRequest.TypeScaleRequest r) {
        return new TypeScale(new TypeScale.End(r.narrowBase(), r.narrowRatio()), new TypeScale.End(r.wideBase(), r.wideRatio()),
                r.narrowViewport(), r.wideViewport(), r.smallest(), r.largest());
    }

    private static <T> T required(T value, String field) {
        if (value == null) throw new IllegalArgumentException("The edit lacks its “" + field + "”.");
        return value;
    }
}
