package org.umberloom.core.contract;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.umberloom.core.token.TokenType;
import org.umberloom.core.token.ValueText;

class ContractTest {
    private static final Contract CONTRACT = Contract.standard();

    private static Role role(String path, Fallback fallback) {
        return new Role(
                path, TokenType.DIMENSION, fallback, "x", false, false, false, "x", Optional.empty(), Optional.empty());
    }

    private static Part part(String name, Role... roles) {
        return new Part(name, name, name, PartRule.Layer.BASE, 0, "", "", List.of(roles), List.of(), List.of());
    }

    @Test
    void everyRoleSaysWhatItIsForAndIsReadByARule() {
        Set<String> read = CONTRACT.rules().stream()
                .flatMap(rule -> rule.readings().stream())
                .collect(Collectors.toSet());
        Set<String> mentioned = CONTRACT.roles().values().stream()
                .flatMap(role -> CONTRACT.mentioned(role).stream())
                .collect(Collectors.toSet());
        assertThat(CONTRACT.roles().values()).allSatisfy(role -> {
            assertThat(role.purpose()).as(role.path()).isNotBlank();
            assertThat(role.readings().stream().anyMatch(read::contains) || mentioned.contains(role.path()))
                    .as("%s is used", role.path())
                    .isTrue();
        });
    }

    /** {@code ./loom contract} writes it again. */
    @Test
    void itsPageForPeopleIsCurrent() throws IOException {
        assertThat(Files.readString(Path.of("../docs/contract.md"))).isEqualTo(ContractPage.of(CONTRACT));
    }

    @Test
    void theNameOfAPropertyTellsItsRole() {
        for (String reading : CONTRACT.readings())
            assertThat(PartFolders.reading("--" + reading.replace('.', '-'))).isEqualTo(reading);
    }

    @Test
    void rolesThatRunInACircleOrAreBroughtTwiceAreRefused() {
        Role a = role("gap.a", new Fallback.ToRole("gap.b"));
        Role b = role("gap.b", new Fallback.ToRole("gap.a"));
        assertThatThrownBy(() -> new Contract(List.of(part("one", a, b)))).hasMessageContaining("circle");
        assertThatThrownBy(() -> new Contract(List.of(part("one", role("gap.a", new Fallback.ToRole("gap.none"))))))
                .hasMessageContaining("gap.none");
        Role end = role("gap.a", new Fallback.Literal(ValueText.parse(TokenType.DIMENSION, "1rem")));
        assertThatThrownBy(() -> new Contract(List.of(part("one", end), part("two", end))))
                .hasMessageContaining("two parts");
    }

    @Test
    void aTokensPathTellsWhichRoleItFills() {
        assertThat(CONTRACT.filledBy("surface.deep.text").map(Role::path)).contains("surface.*.text");
        assertThat(CONTRACT.filledBy("surface.deep")).isEmpty();
        assertThat(CONTRACT.filledBy("gap.flow").map(Role::path)).contains("gap.flow");
        assertThat(CONTRACT.filledBy("color.sea.60")).isEmpty();
    }

    @Test
    void choicesStandAtTheirStandardUntilSomebodyChooses() {
        CONTRACT.choices().values().forEach(choice -> {
            assertThat(CONTRACT.completed(Map.of())).containsEntry(choice.name(), choice.standard());
            assertThat(CONTRACT.completed(Map.of(choice.name(), "no such value")))
                    .containsEntry(choice.name(), choice.standard());
            assertThat(CONTRACT.rules().stream()
                            .map(PartRule::choice)
                            .flatMap(Optional::stream)
                            .filter(chosen -> chosen.choice().equals(choice.name()))
                            .map(PartRule.Chosen::value)
                            .collect(Collectors.toSet()))
                    .isSubsetOf(choice.values().keySet());
        });
    }
}
