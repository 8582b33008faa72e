package org.umberloom.core.wish;

import java.util.List;
import java.util.Optional;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Homes;
import org.umberloom.core.contract.Worn;
import org.umberloom.core.theme.Bulk;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Meaning;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Recipe;
import org.umberloom.core.theme.Recipes;
import org.umberloom.core.theme.Resolved;
import org.umberloom.core.theme.Seen;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Group;
import org.umberloom.core.token.Manner;
import org.umberloom.core.token.Meta;
import org.umberloom.core.token.Node;
import org.umberloom.core.token.Operation;
import org.umberloom.core.token.Token;
import org.umberloom.core.token.TokenPath;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;
import org.umberloom.core.token.TypographyValue;

/** Wishes about tokens and their values. A place that is left out is where the value stands. */
public sealed interface ValueWish extends Wish {
    /**
     * A token's value, as people write it.
     *
     * @param scheme context of the scheme that the value was seen in: at a scope, which may say something else in every scheme, the
     *               value is written for that one alone
     */
    record Value(Optional<Place> place, TokenPath path, String text, Optional<String> scheme) implements ValueWish {
        public Value(Optional<Place> place, TokenPath path, String text) {
            this(place, path, text, Optional.empty());
        }

        @Override
        public Edit in(Seen seen) {
            Place at = place.map(one -> inScheme(one, seen.theme())).orElseGet(() -> seen.placeOf(path));
            Edit edit = new Edit.SetValue(at, path, seen.value(seen.typeOf(path), text));
            // The shades that grow from a seed follow it wherever it is written.
            return path.name().equals(Recipe.HueRamp.SEED) && path.parent().isPresent()
                    ? Brought.to(seen, at, path.parent().get(), edit)
                    : edit;
        }

        private Place inScheme(Place wanted, ThemeDocument theme) {
            if (scheme.isEmpty() || !(wanted instanceof Place.InScope at)) return wanted;
            return Meaning.scheme(theme)
                    .map(Meaning.Scheme::modifier)
                    .filter(modifier -> theme.modifier(modifier).contexts().containsKey(scheme.get()))
                    .<Place>map(modifier -> Place.scope(at.scope(), modifier, scheme.get()))
                    .orElse(wanted);
        }
    }

    /** One part of a text style; written for the first time at a place, the style starts from what holds there so far. */
    record Member(Optional<Place> place, TokenPath path, String member, String text) implements ValueWish {
        @Override
        public Edit in(Seen seen) {
            if (seen.resolution().find(path.dotted()).isEmpty()) return first(seen);
            Place at = place.orElseGet(() -> seen.placeOf(path));
            Optional<Token> token = seen.theme().at(at).token(path).or(() -> seen.resolution()
                    .find(path.dotted())
                    .map(Resolved::written));
            if (token.isEmpty() || !(token.get().value() instanceof TypographyValue style))
                throw new IllegalArgumentException("“" + path + "” is not a text style here.");
            return new Edit.SetValue(at, path, changed(style, seen));
        }

        /** A style of the contract that was not set so far starts from the one that it stood on. */
        private Edit first(Seen seen) {
            org.umberloom.core.contract.Role role = Contract.standard().toFill(path.dotted());
            if (role.type() != TokenType.TYPOGRAPHY)
                throw new IllegalArgumentException("“" + path + "” is not a text style here.");
            TypographyValue style = Worn.of(seen.resolution()).asWritten(role);
            return new Edit.Put(
                    forRoles(seen, place), path, new Token(changed(style, seen), Meta.typed(TokenType.TYPOGRAPHY)), -1);
        }

        private TokenValue changed(TypographyValue style, Seen seen) {
            Optional<Manner> manner = Manner.ofPart(member);
            if (manner.isEmpty()) return style.withPart(member, seen.value(TypographyValue.typeOf(member), text));
            return text.isBlank()
                    ? style.without(manner.get())
                    : style.with(manner.get().parse(text));
        }
    }

    /** The place that was chosen, else where roles of the theme stand. */
    private static Place forRoles(Seen seen, Optional<Place> place) {
        return place.or(() -> Optional.of(Homes.of(seen.theme()).get("role"))
                        .filter(home -> !home.isEmpty())
                        .map(Place::parse))
                .orElseThrow(() -> new IllegalArgumentException(
                        "No set of this theme holds roles yet. Choose under “Write into” where they shall stand."));
    }

    /** A new token; without a type it has that of the token it overrides. */
    record NewToken(Place place, TokenPath path, Optional<String> type, String text) implements ValueWish {
        @Override
        public Edit in(Seen seen) {
            if (seen.theme().at(place).find(path).isPresent())
                throw new IllegalArgumentException(
                        "There already is a “" + path + "” in " + place + ". Choose another path.");
            TokenType known = type.filter(id -> !id.isBlank())
                    .map(id -> TokenType.byId(id)
                            .orElseThrow(() -> new IllegalArgumentException("“" + id + "” is not a type of token.")))
                    .orElseGet(() -> seen.typeOf(path));
            boolean said = declaredAround(seen.theme()).equals(Optional.of(known));
            return new Edit.Put(
                    place, path, new Token(seen.value(known, text), said ? Meta.NONE : Meta.typed(known)), -1);
        }

        private Optional<TokenType> declaredAround(ThemeDocument theme) {
            Optional<TokenPath> parent = path.parent();
            while (parent.isPresent()) {
                Optional<TokenType> declared = theme.at(place)
                        .group(parent.get())
                        .flatMap(group -> group.meta().type());
                if (declared.isPresent()) return declared;
                parent = parent.get().parent();
            }
            return Optional.empty();
        }
    }

    /** Gives an unset role a value, where roles stand already or where it is asked for. */
    record Role(Optional<Place> place, TokenPath path, String text) implements ValueWish {
        @Override
        public Edit in(Seen seen) {
            TokenType type = Contract.standard().toFill(path.dotted()).type();
            Place at = forRoles(seen, place);
            TokenValue value = seen.value(type, text);
            return seen.theme().at(at).token(path).isPresent()
                    ? new Edit.SetValue(at, path, value)
                    : new Edit.Put(at, path, new Token(value, Meta.typed(type)), -1);
        }
    }

    /** A width said in characters of running text, which it then follows. */
    record Measured(Optional<Place> place, TokenPath path, double characters) implements ValueWish {
        private static final double FEWEST = 20;
        private static final double MOST = 200;

        public Measured {
            if (!(characters >= FEWEST && characters <= MOST))
                throw new IllegalArgumentException("A line holds between 20 and 200 characters. Nothing was changed.");
        }

        @Override
        public Edit in(Seen seen) {
            Optional<Resolved> set = seen.resolution().find(path.dotted());
            Place at = place.or(() -> set.map(Resolved::winner)).orElseGet(() -> forRoles(seen, place));
            Optional<Token> there = seen.theme().at(at).token(path);
            if (there.isPresent())
                return new Edit.SetMeta(
                        at, path, MeasuredWidths.saying(there.get().meta(), characters));
            TokenValue standing = Worn.of(seen.resolution())
                    .find(path.dotted())
                    .orElseThrow(() -> new IllegalArgumentException("“" + path + "” is no width of pages."))
                    .value();
            return new Edit.Put(
                    at,
                    path,
                    new Token(standing, MeasuredWidths.saying(Meta.typed(TokenType.DIMENSION), characters)),
                    -1);
        }
    }

    /** Takes a token or group away; at a scope also the groups around it that would be left with nothing to say. */
    record Delete(Place place, TokenPath path) implements ValueWish {
        @Override
        public Edit in(Seen seen) {
            Group root = seen.theme().at(place);
            TokenPath gone = place instanceof Place.InScope ? root.highestAlone(Recipes.whole(root, path)) : path;
            return new Edit.Remove(place, gone);
        }
    }

    /**
     * What a token or group says of itself; what is left out stays.
     *
     * @param to what replaces one that is deprecated, in words
     */
    record About(Place place, TokenPath path, Optional<String> text, Optional<Boolean> deprecated, Optional<String> to)
            implements ValueWish {
        @Override
        public Edit in(Seen seen) {
            Node node = seen.theme()
                    .at(place)
                    .find(path)
                    .orElseThrow(() -> new IllegalArgumentException("There is no “" + path + "” in " + place + "."));
            Meta meta = node.meta();
            if (text.isPresent())
                meta = meta.withDescription(text.map(String::trim).filter(said -> !said.isEmpty()));
            if (deprecated.isPresent())
                meta = meta.withDeprecated(
                        deprecated.get()
                                ? Optional.of(to.map(String::trim)
                                        .filter(said -> !said.isEmpty())
                                        .<Object>map(said -> said)
                                        .orElse(true))
                                : Optional.empty());
            return new Edit.SetMeta(place, path, meta);
        }
    }

    /** The same operation on every value of a group, with what it takes besides. */
    record Shift(Place place, TokenPath path, String operation, List<String> arguments) implements ValueWish {
        @Override
        public Edit in(Seen seen) {
            return Bulk.shift(seen.theme(), place, path, Operation.byId(operation), arguments);
        }
    }

    /** Every path that holds a text, with another in its stead. */
    record RenamePaths(String from, String to) implements ValueWish {
        @Override
        public Edit in(Seen seen) {
            return Bulk.renamePaths(seen.theme(), from, to);
        }
    }

    /** Every value that is written so, written otherwise. */
    record ReplaceValues(String from, String to) implements ValueWish {
        @Override
        public Edit in(Seen seen) {
            return Bulk.replaceValues(seen.theme(), from, to);
        }
    }
}
