package org.umberloom.app.contract;

import java.util.ArrayList;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.core.contract.Choice;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Governing;
import org.umberloom.core.contract.Role;

/** What pages read from a theme: roles, choices, and what each rule takes; the same for every theme. */
@RestController
@RequestMapping("/api/contract")
class ContractController {
    record RoleView(String path, String type, String part, boolean core, String purpose) {
        static RoleView of(Role role) {
            return new RoleView(role.path(), role.type().id(), role.part(), role.core(), role.purpose());
        }
    }

    record ValueView(String value, String words) {
    }

    record ChoiceView(String name, String part, String purpose, List<ValueView> values, String standard) {
        static ChoiceView of(Choice choice) {
            List<ValueView> values = new ArrayList<>();
            choice.values().forEach((value, words) -> values.add(new ValueView(value, words)));
            return new ChoiceView(choice.name(), choice.part(), choice.purpose(), values, choice.standard());
        }
    }

    /** @param rank of two that match an element, the higher wins */
    record GoverningView(String selector, long rank, String color, String type, String space, String width, List<String> roles) {
        static GoverningView of(Governing one) {
            return new GoverningView(one.selector(), one.rank(), one.color(), one.type(), one.space(), one.width(), one.roles().stream().sorted().toList());
        }
    }

    record ContractView(List<RoleView> roles, List<ChoiceView> choices, List<GoverningView> governing) {
    }

    private final ContractView contract;

    ContractController() {
        Contract standard = Contract.standard();
        contract = new ContractView(standard.roles().values().stream().map(RoleView::of).toList(),
                standard.choices().values().stream().map(ChoiceView::of).toList(), Governing.all(standard).stream().map(GoverningView::of).toList());
    }

    @GetMapping
    ContractView contract() {
        return contract;
    }
}
