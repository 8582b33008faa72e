package org.umberloom.core.wish;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.umberloom.core.contract.Choices;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.dress.Dressing;
import org.umberloom.core.page.PageCleaning;
import org.umberloom.core.propose.ContrastProposal;
import org.umberloom.core.propose.SchemeProposal;
import org.umberloom.core.theme.Edit;
import org.umberloom.core.theme.Place;
import org.umberloom.core.theme.Seen;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.TokenValue;

/** Wishes that concern a theme as a whole. */
public sealed interface ThemeWish extends Wish {
    /** A value of a choice at a place; nothing is chosen there any more without one. */
    record Choose(Place place, String choice, Optional<String> value) implements ThemeWish {
        @Override
        public Edit in(Seen seen) {
            return Choices.choose(seen.theme(), place, choice, value.filter(one -> !one.isEmpty()));
        }
    }

    /** Tokens for roles, as people write values, in one set of aliases. */
    record Dress(Map<String, String> roles) implements ThemeWish {
        private static final int MOST_ROLES = 400;

        public Dress {
            if (roles.size() > MOST_ROLES)
                throw new IllegalArgumentException(
                        "A theme is dressed in up to " + MOST_ROLES + " roles; these are " + roles.size() + ".");
        }

        @Override
        public Edit in(Seen seen) {
            Map<String, TokenValue> values = new LinkedHashMap<>();
            roles.forEach((path, text) -> {
                TokenType type = Contract.standard().toFill(path).type();
                values.put(path, seen.value(type, text));
            });
            return Dressing.edit(seen.theme(), values);
        }
    }

    /** A style sheet of the theme's own, as far as it can be read and may stand there; an empty one takes it away. */
    record Style(String css) implements ThemeWish {
        @Override
        public Edit in(Seen seen) {
            return new Edit.SetStyle(PageCleaning.sheet(css).text());
        }
    }

    /** A context of the scheme proposed from its other side. */
    record ProposeScheme(String context, boolean anew) implements ThemeWish {
        @Override
        public Edit in(Seen seen) {
            return SchemeProposal.of(seen.theme(), context, anew);
        }
    }

    /** A context for readers who ask for more contrast. */
    record ProposeContrast() implements ThemeWish {
        @Override
        public Edit in(Seen seen) {
            return ContrastProposal.of(seen.theme());
        }
    }
}
