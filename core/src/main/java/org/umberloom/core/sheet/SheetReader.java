package org.umberloom.core.sheet;

import com.helger.css.decl.AbstractHasTopLevelRules;
import com.helger.css.decl.CSSDeclaration;
import com.helger.css.decl.CSSExpression;
import com.helger.css.decl.CSSExpressionMemberFunction;
import com.helger.css.decl.CSSExpressionMemberMath;
import com.helger.css.decl.CSSExpressionMemberMathProduct;
import com.helger.css.decl.CSSExpressionMemberMathUnitProduct;
import com.helger.css.decl.CSSLayerRule;
import com.helger.css.decl.CSSMediaRule;
import com.helger.css.decl.CSSSelector;
import com.helger.css.decl.CSSStyleRule;
import com.helger.css.decl.CSSSupportsRule;
import com.helger.css.decl.CSSUnknownRule;
import com.helger.css.decl.CascadingStyleSheet;
import com.helger.css.decl.ICSSTopLevelRule;
import com.helger.css.parser.ParseException;
import com.helger.css.parser.Token;
import com.helger.css.reader.CSSReader;
import com.helger.css.reader.CSSReaderDeclarationList;
import com.helger.css.reader.CSSReaderSettings;
import com.helger.css.reader.errorhandler.ICSSParseErrorHandler;
import com.helger.css.writer.CSSWriterSettings;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.umberloom.core.limit.Patience;
import org.umberloom.core.token.Names;

/** Reads style sheets. What cannot be read is passed over as a browser would, and said. Source: CSS Syntax 3. */
public final class SheetReader {
    /** UTF-16 units of one sheet. */
    private static final int LARGEST = 4 << 20;

    /** Brackets and braces in each other; the most deeply nested sheets of general use have about ten. */
    private static final int DEEPEST = 64;

    private static final Pattern EMPTY = Pattern.compile("(--[\\w-]+\\s*:)\\s*(?=[;}])");
    /** Stands for a value that is nothing while the parser reads. */
    private static final String NOTHING = "nothing-at-all";

    private static final CSSWriterSettings AS_WRITTEN = new CSSWriterSettings();

    private final List<StyleRule> rules = new ArrayList<>();
    private final List<Sheet.Block> blocks = new ArrayList<>();
    private final List<Sheet.Fault> faults = new ArrayList<>();

    private SheetReader() {}

    /** @throws IllegalArgumentException for a text that is too large, or no style sheet at all */
    public static Sheet read(String css) {
        if (css.length() > LARGEST)
            throw new IllegalArgumentException(
                    "A style sheet of more than " + (LARGEST >> 20) + " million letters is not read.");
        Patience.ask();
        SheetReader reader = new SheetReader();
        checkDepth(css);
        String whole = withEmptyValues(css) + reader.braces(css);
        CascadingStyleSheet sheet = CSSReader.readFromStringReader(whole, reader.settings());
        if (sheet == null)
            throw new IllegalArgumentException(
                    reader.faults.isEmpty()
                            ? "This is not a style sheet."
                            : reader.faults.get(0).words());
        for (ICSSTopLevelRule rule : sheet.getAllRules()) reader.take(rule, List.of());
        return new Sheet(reader.rules, reader.blocks, reader.faults);
    }

    /** What lies too deep in each other is refused before the parser, which calls itself for each, comes to its end. */
    private static void checkDepth(String css) {
        int depth = 0;
        for (int at = 0; at < css.length(); at++) {
            char c = css.charAt(at);
            if (c == '(' || c == '[' || c == '{') depth++;
            else if ((c == ')' || c == ']' || c == '}') && depth > 0) depth--;
            if (depth > DEEPEST) {
                String before = css.substring(0, at);
                throw new IllegalArgumentException(
                        "Line " + (1 + before.chars().filter(one -> one == '\n').count()) + ", column "
                                + (at - before.lastIndexOf('\n')) + ": more than " + DEEPEST
                                + " brackets or braces lie in each other, which is not read.");
            }
        }
    }

    /** The declarations of a {@code style} attribute, as the one rule of a sheet. Source: CSS Style Attributes, section 3. */
    public static Sheet readStyle(String declarations) {
        return read("x { " + declarations.replace("}", "") + " }");
    }

    private CSSReaderSettings settings() {
        return new CSSReaderSettings()
                .setKeepDeprecatedProperties(true)
                .setBrowserCompliantMode(true)
                .setCustomErrorHandler(new Skips(faults))
                .setCustomExceptionHandler(this::fault);
    }

    /** Custom properties may be empty, which the parser does not know. Source: CSS Custom Properties 1, section 2. */
    private static String withEmptyValues(String css) {
        return EMPTY.matcher(css).replaceAll("$1 " + NOTHING);
    }

    /**
     * Says where braces do not meet: the parser ends without a word at one that closes nothing, and passes over a rule whose brace is
     * never closed. Source: CSS Syntax 3, 5.4: the end of a sheet closes what is open.
     *
     * @return the braces that are missing at the end
     */
    private String braces(String css) {
        Deque<int[]> open = new ArrayDeque<>();
        int line = 1;
        int begins = 0;
        for (int at = 0; at < css.length(); at++) {
            char c = css.charAt(at);
            int column = at - begins + 1;
            if (c == '\n') {
                line++;
                begins = at + 1;
            } else if (c == '/' && css.startsWith("/*", at)) {
                int end = css.indexOf("*/", at + 2);
                String comment = css.substring(at, end < 0 ? css.length() : end);
                line += (int) comment.chars().filter(one -> one == '\n').count();
                if (comment.contains("\n")) begins = at + comment.lastIndexOf('\n') + 1;
                at = end < 0 ? css.length() : end + 1;
            } else if (c == '"' || c == '\'') {
                int end = at + 1;
                while (end < css.length() && css.charAt(end) != c && css.charAt(end) != '\n')
                    end += css.charAt(end) == '\\' ? 2 : 1;
                at = Math.min(end, css.length());
            } else if (c == '{') open.push(new int[] {line, column});
            else if (c == '}' && open.pollFirst() == null) {
                faults.add(fault(line, column, "this } closes nothing; what follows was passed over"));
                return "";
            }
        }
        if (open.isEmpty()) return "";
        int[] first = open.peekLast();
        faults.add(fault(first[0], first[1], "this { is never closed"));
        return "}".repeat(open.size());
    }

    private static Sheet.Fault fault(int line, int column, String what) {
        return new Sheet.Fault(line, column, "Line " + line + ", column " + column + ": " + what + ".");
    }

    private void fault(ParseException error) {
        Token token = error.currentToken;
        int line = token == null ? 0 : token.beginLine;
        faults.add(new Sheet.Fault(
                line,
                token == null ? 0 : token.beginColumn,
                line > 0
                        ? "Line " + line + ", column " + token.beginColumn + " cannot be read as CSS."
                        : "This cannot be read as CSS."));
    }

    private void take(ICSSTopLevelRule rule, List<String> within) {
        Patience.ask();
        if (rule instanceof CSSStyleRule style)
            rules.add(new StyleRule(
                    within,
                    style.getAllSelectors().stream().map(Selectors::read).toList(),
                    declarations(style.getAllDeclarations())));
        else if (rule instanceof AbstractHasTopLevelRules group) {
            List<String> inside = new ArrayList<>(within);
            inside.add(prelude(group));
            for (ICSSTopLevelRule inner : group.getAllRules()) take(inner, inside);
        } else if (rule instanceof CSSUnknownRule block) {
            var list = CSSReaderDeclarationList.readFromString(block.getBody(), settings());
            if (list == null)
                faults.add(new Sheet.Fault(0, 0, "“" + Names.shown(block.getDeclaration()) + "” was passed over."));
            else
                blocks.add(new Sheet.Block(
                        block.getDeclaration().toLowerCase(java.util.Locale.ROOT),
                        text(block.getParameterList()),
                        declarations(list.getAllDeclarations())));
        }
    }

    private static String prelude(AbstractHasTopLevelRules group) {
        if (group instanceof CSSMediaRule media)
            return "@media "
                    + media.getAllMediaQueries().stream()
                            .map(query -> query.getAsCSSString(AS_WRITTEN, 0))
                            .collect(Collectors.joining(", "));
        if (group instanceof CSSSupportsRule supports)
            return "@supports "
                    + supports.getAllSupportConditionMembers().stream()
                            .map(one -> one.getAsCSSString(AS_WRITTEN, 0))
                            .collect(Collectors.joining(" "));
        return group instanceof CSSLayerRule layer ? "@layer " + String.join(", ", layer.getAllSelectors()) : "@";
    }

    private static List<Declaration> declarations(List<CSSDeclaration> all) {
        return all.stream()
                .map(one -> new Declaration(
                        one.getProperty(),
                        one.getExpressionAsCSSString().equals(NOTHING) ? "" : one.getExpressionAsCSSString(),
                        one.isImportant(),
                        variables(one.getExpression())))
                .toList();
    }

    private static List<Declaration.Variable> variables(CSSExpression expression) {
        List<Declaration.Variable> found = new ArrayList<>();
        expression.getAllMembers().forEach(member -> collect(member, found));
        return found;
    }

    private static void collect(Object member, List<Declaration.Variable> found) {
        if (member instanceof CSSExpressionMemberFunction function) {
            if (function.getExpression() == null) return;
            if (function.getFunctionName().equalsIgnoreCase("var")) found.add(variable(function));
            function.getExpression().getAllMembers().forEach(inner -> collect(inner, found));
        } else if (member instanceof CSSExpressionMemberMath math) {
            math.getAllMembers().forEach(inner -> collect(inner, found));
        } else if (member instanceof CSSExpressionMemberMathProduct product) {
            product.getAllMembers().forEach(inner -> collect(inner, found));
        } else if (member instanceof CSSExpressionMemberMathUnitProduct unit) {
            collect(unit.getProduct(), found);
        }
    }

    private static Declaration.Variable variable(CSSExpressionMemberFunction function) {
        String inner = function.getExpression().getAsCSSString(AS_WRITTEN, 0);
        int comma = inner.indexOf(',');
        return comma < 0
                ? new Declaration.Variable(inner.trim(), "")
                : new Declaration.Variable(
                        inner.substring(0, comma).trim(),
                        inner.substring(comma + 1).trim());
    }

    private static String text(String text) {
        return text == null ? "" : text.trim();
    }

    static String text(CSSSelector selector) {
        return selector.getAsCSSString(AS_WRITTEN, 0);
    }

    /** Hears of what is skipped. */
    private record Skips(List<Sheet.Fault> faults) implements ICSSParseErrorHandler {
        @Override
        public void onCSSParseError(ParseException error, Token skipped) {
            say(error.currentToken);
        }

        @Override
        public void onCSSUnexpectedRule(Token token, String rule, String why) {
            say(token);
        }

        @Override
        public void onCSSDeprecatedProperty(Token prefix, Token property) {
            // Kept as it is.
        }

        @Override
        public void onCSSBrowserCompliantSkip(ParseException error, Token from, Token to) {
            say(from);
        }

        private void say(Token token) {
            boolean known = token != null && token.beginLine > 0;
            faults.add(new Sheet.Fault(
                    known ? token.beginLine : 0,
                    known ? token.beginColumn : 0,
                    known
                            ? "Line " + token.beginLine + ", column " + token.beginColumn + ": passed over from “"
                                    + Names.shown(String.valueOf(token.image)) + "” on."
                            : "Something that is no CSS was passed over."));
        }
    }
}
