package org.umberloom.core.sheet;

import com.helger.css.decl.CSSSelector;
import com.helger.css.decl.CSSSelectorAttribute;
import com.helger.css.decl.CSSSelectorMemberFunctionLike;
import com.helger.css.decl.CSSSelectorMemberNot;
import com.helger.css.decl.CSSSelectorMemberPseudoHas;
import com.helger.css.decl.CSSSelectorMemberPseudoIs;
import com.helger.css.decl.CSSSelectorMemberPseudoWhere;
import com.helger.css.decl.CSSSelectorSimpleMember;
import com.helger.css.decl.ECSSSelectorCombinator;
import com.helger.css.decl.ICSSSelectorMember;
import com.helger.css.writer.CSSWriterSettings;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** What a parsed selector says of itself. Source: Selectors 4. */
final class Selectors {
    private static final CSSWriterSettings AS_WRITTEN = new CSSWriterSettings();
    /** States that a page does not rest in: those that a person brings about, and those of controls. */
    private static final Set<String> STATES = Set.of(
            "hover",
            "active",
            "focus",
            "focus-visible",
            "focus-within",
            "visited",
            "selection",
            "checked",
            "disabled",
            "popover-open",
            "target");

    private Selectors() {}

    static Selector read(CSSSelector selector) {
        Set<String> states = new LinkedHashSet<>();
        Set<String> needs = new LinkedHashSet<>();
        StringBuilder resting = new StringBuilder();
        String drawn = "";
        boolean open = true;
        for (ICSSSelectorMember member : selector.getAllMembers()) {
            String text = member.getAsCSSString(AS_WRITTEN, 0);
            if (member instanceof ECSSSelectorCombinator combinator) {
                if (open) resting.append('*');
                resting.append(
                        combinator == ECSSSelectorCombinator.BLANK
                                ? " "
                                : " " + combinator.getName().trim() + " ");
                open = true;
                continue;
            }
            String state = state(member);
            if (!state.isEmpty()) states.add(state);
            else if (text.startsWith("::")) drawn = text;
            else if (!holdsAtRest(member)) {
                resting.append(text);
                open = false;
                need(member, needs);
            }
        }
        if (open) resting.append('*');
        return new Selector(
                SheetReader.text(selector), resting.toString(), states, drawn, specificity(selector), needs);
    }

    /** Whether a member asks for no more than that states are not. */
    private static boolean holdsAtRest(ICSSSelectorMember member) {
        return member instanceof CSSSelectorMemberNot
                && inner(member).stream()
                        .allMatch(one -> one.getMemberCount() == 1
                                && !state(one.getMemberAtIndex(0)).isEmpty());
    }

    /** The state that a member asks for, also inside {@code :where()} and {@code :has()}; empty for none. */
    private static String state(ICSSSelectorMember member) {
        // The parser wraps what stands in :has() once more.
        if (member instanceof CSSSelector wrapped)
            return wrapped.getMemberCount() == 1 ? state(wrapped.getMemberAtIndex(0)) : "";
        List<CSSSelector> inner = inner(member);
        if ((member instanceof CSSSelectorMemberPseudoWhere || member instanceof CSSSelectorMemberPseudoHas)
                && inner.size() == 1
                && inner.get(0).getMemberCount() == 1) return state(inner.get(0).getMemberAtIndex(0));
        String name =
                member.getAsCSSString(AS_WRITTEN, 0).replaceFirst("^::?", "").toLowerCase(Locale.ROOT);
        return member instanceof CSSSelectorSimpleMember simple && simple.isPseudo() && STATES.contains(name)
                ? name
                : "";
    }

    private static void need(ICSSSelectorMember member, Set<String> needs) {
        if (member instanceof CSSSelector wrapped) wrapped.getAllMembers().forEach(one -> need(one, needs));
        // What has to be within it has to be on the page, too, where it is one thing only.
        if (member instanceof CSSSelectorMemberPseudoHas && inner(member).size() == 1)
            inner(member).get(0).getAllMembers().forEach(one -> need(one, needs));
        if (member instanceof CSSSelectorSimpleMember simple
                && simple.isElementName()
                && !simple.getValue().equals("*")) needs.add(simple.getValue().toLowerCase(Locale.ROOT));
        if (member instanceof CSSSelectorAttribute attribute) {
            boolean exact = attribute.getOperator() != null
                    && attribute.getOperator().getName().equals("=");
            needs.add("[" + attribute.getAttrName() + (exact ? "=" + unquoted(attribute.getAttrValue()) : "") + "]");
        }
    }

    private static String unquoted(String value) {
        return value.length() > 1 && (value.startsWith("\"") || value.startsWith("'"))
                ? value.substring(1, value.length() - 1)
                : value;
    }

    static Specificity specificity(CSSSelector selector) {
        Specificity sum = Specificity.NONE;
        for (ICSSSelectorMember member : selector.getAllMembers()) sum = sum.plus(weight(member));
        return sum;
    }

    private static Specificity weight(ICSSSelectorMember member) {
        if (member instanceof ECSSSelectorCombinator || member instanceof CSSSelectorMemberPseudoWhere)
            return Specificity.NONE;
        if (member instanceof CSSSelector wrapped) return specificity(wrapped);
        List<CSSSelector> inner = inner(member);
        if (!inner.isEmpty())
            return inner.stream()
                    .map(Selectors::specificity)
                    .max(Specificity::compareTo)
                    .orElse(Specificity.NONE);
        if (member instanceof CSSSelectorSimpleMember simple) {
            if (simple.isHash()) return new Specificity(1, 0, 0);
            if (simple.isElementName())
                return simple.getValue().equals("*") ? Specificity.NONE : new Specificity(0, 0, 1);
            if (simple.getValue().startsWith("::")) return new Specificity(0, 0, 1);
        }
        return member instanceof CSSSelectorMemberFunctionLike function
                        && function.getFunctionName().startsWith("::")
                ? new Specificity(0, 0, 1)
                : new Specificity(0, 1, 0);
    }

    private static List<CSSSelector> inner(ICSSSelectorMember member) {
        if (member instanceof CSSSelectorMemberPseudoWhere where) return where.getAllSelectors();
        if (member instanceof CSSSelectorMemberPseudoIs is) return is.getAllSelectors();
        if (member instanceof CSSSelectorMemberNot not) return not.getAllSelectors();
        return member instanceof CSSSelectorMemberPseudoHas has ? has.getAllSelectors() : List.of();
    }
}
