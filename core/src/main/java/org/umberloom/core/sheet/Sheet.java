package org.umberloom.core.sheet;

import java.util.List;

/**
 * A style sheet as it was read.
 *
 * @param rules  style rules in order, those inside media queries, layers and the like among them
 * @param blocks at-rules with declarations of their own, such as {@code @theme}
 * @param faults what could not be read, each with its line
 */
public record Sheet(List<StyleRule> rules, List<Block> blocks, List<Fault> faults) {
    /** What could not be read. @param line from 1; 0 where it is not known @param column from 1; 0 where it is not known */
    public record Fault(int line, int column, String words) {}

    /** An at-rule with its declarations. */
    public record Block(String name, String prelude, List<Declaration> declarations) {
        public Block {
            declarations = List.copyOf(declarations);
        }
    }

    /** Those of all rules, in order. */
    public List<Declaration> declarations() {
        return rules.stream().flatMap(rule -> rule.declarations().stream()).toList();
    }

    public Sheet {
        rules = List.copyOf(rules);
        blocks = List.copyOf(blocks);
        faults = List.copyOf(faults);
    }
}
