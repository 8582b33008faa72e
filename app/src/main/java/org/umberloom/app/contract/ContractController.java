package org.umberloom.app.contract;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.core.check.ShapeChecks;
import org.umberloom.core.contract.Choice;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Governing;
import org.umberloom.core.contract.Part;
import org.umberloom.core.contract.PartRule;
import org.umberloom.core.contract.Role;
import org.umberloom.core.css.Stylesheet;

/** What pages read from a theme: roles, choices, and what each rule takes; the same for every theme. */
@RestController
@RequestMapping("/api/contract")
class ContractController {
    /**
     * @param pulledAt    the edge of its region at which it is changed by pulling; empty where it is not
     * @param pulledTimes how much the region grows for each px
     */
    record RoleEntry(
            String path, String type, String part, boolean core, String purpose, String pulledAt, double pulledTimes) {
        static RoleEntry of(Role role) {
            return new RoleEntry(
                    role.path(),
                    role.type().id(),
                    role.part(),
                    role.core(),
                    role.purpose(),
                    role.pulled().map(Role.Pulled::edge).orElse(""),
                    role.pulled().map(Role.Pulled::times).orElse(0.0));
        }
    }

    /** @param spot where the region stands then, as shares to the right and down; nothing where it is not moved */
    record ChoiceValue(String value, String words, List<Double> spot) {}

    /**
     * @param colors the text styles whose letters it colors
     * @param within what its region is moved within, as a selector; empty for the window
     * @param narrow whether it counts only where there is little room
     * @param stands the elements whose surface is chosen, as a selector; empty where something else is. A theme’s surfaces are values
     *               of it besides
     */
    record ChoiceEntry(
            String name,
            String part,
            String purpose,
            List<ChoiceValue> values,
            String standard,
            List<String> colors,
            String within,
            boolean narrow,
            String stands) {
        static ChoiceEntry of(Choice choice) {
            List<ChoiceValue> values = new ArrayList<>();
            choice.values()
                    .forEach((value, words) -> values.add(new ChoiceValue(
                            value,
                            words,
                            choice.moved()
                                    .map(moved -> moved.spots().get(value))
                                    .orElse(List.of()))));
            return new ChoiceEntry(
                    choice.name(),
                    choice.part(),
                    choice.purpose(),
                    values,
                    choice.standard(),
                    choice.colors(),
                    choice.moved().map(Choice.Moved::within).orElse(""),
                    onlyNarrow(choice),
                    choice.stands().orElse(""));
        }
    }

    private static boolean onlyNarrow(Choice choice) {
        List<PartRule> rules = Contract.standard().rules().stream()
                .filter(rule -> rule.choice()
                        .filter(chosen -> chosen.choice().equals(choice.name()))
                        .isPresent())
                .toList();
        return !rules.isEmpty()
                && rules.stream()
                        .allMatch(rule -> rule.rule().within().stream().anyMatch(at -> at.contains("max-width")));
    }

    /** @param property of CSS @param path of the role */
    record TakenLength(String property, String path) {}

    /**
     * @param rank      of two that match an element, the higher wins
     * @param attribute where it holds only at a value of a choice, says which is chosen, on the element or the nearest around it
     * @param value     of that
     * @param lengths   that it takes as they are
     */
    record GoverningView(
            String selector,
            long rank,
            String color,
            String type,
            String space,
            String width,
            String attribute,
            String value,
            List<String> roles,
            List<TakenLength> lengths) {
        static GoverningView of(Governing one) {
            return new GoverningView(
                    one.selector(),
                    one.rank(),
                    one.color(),
                    one.type(),
                    one.space(),
                    one.width(),
                    one.chosen()
                            .map(chosen -> Stylesheet.choiceAttribute(chosen.choice()))
                            .orElse(""),
                    one.chosen().map(PartRule.Chosen::value).orElse(""),
                    one.roles().stream().sorted().toList(),
                    one.lengths().entrySet().stream()
                            .map(taken -> new TakenLength(taken.getKey(), taken.getValue()))
                            .toList());
        }
    }

    /**
     * @param region what it is on a page, as a selector, where it is a region of the frame; else empty
     * @param sample whether it can be shown alone
     */
    record PartEntry(String name, String title, String purpose, String region, boolean sample) {
        static PartEntry of(Part part) {
            return new PartEntry(
                    part.name(),
                    part.title(),
                    part.purpose(),
                    part.region(),
                    !part.sample().isEmpty());
        }
    }

    /**
     * @param phoneHigh   px of a small phone
     * @param mostStaying how much of that what stays in sight may take, as a share
     */
    record ContractView(
            List<PartEntry> parts,
            List<RoleEntry> roles,
            List<ChoiceEntry> choices,
            List<GoverningView> governing,
            double phoneHigh,
            double mostStaying) {}

    private final ContractView contract;

    ContractController() {
        Contract standard = Contract.standard();
        contract = new ContractView(
                standard.parts().stream()
                        .sorted(Comparator.comparingInt(Part::shown))
                        .map(PartEntry::of)
                        .toList(),
                standard.roles().values().stream().map(RoleEntry::of).toList(),
                standard.choices().values().stream().map(ChoiceEntry::of).toList(),
                Governing.all(standard).stream().map(GoverningView::of).toList(),
                ShapeChecks.PHONE_HIGH,
                ShapeChecks.MOST_OF_A_PHONE);
    }

    @GetMapping
    ContractView contract() {
        return contract;
    }
}
