package org.umberloom.core.site;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RoleGroupsTest {
    @ParameterizedTest
    @CsvSource({
        "surface.text, color",
        "type.h1.size, type",
        "gap.flow, space",
        "width.wide, width",
        "shape.line, shape",
        "part.card.radius, shape",
        "part.sidebar.width, width",
        "part.header.air, space"
    })
    void aReadingIsOfAGroup(String reading, String group) {
        assertThat(RoleGroups.of(reading)).isEqualTo(group);
    }
}
