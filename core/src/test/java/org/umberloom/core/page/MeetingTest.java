package org.umberloom.core.page;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MeetingTest {
    /** WCAG 2.2, 1.4.3, 1.4.6 and 1.4.11. */
    @ParameterizedTest
    @CsvSource({
        "TEXT,false,4.49,FAILS",
        "TEXT,false,4.5,AA",
        "TEXT,false,6.99,AA",
        "TEXT,false,7,AAA",
        "TEXT,true,2.99,FAILS",
        "TEXT,true,3,AA",
        "TEXT,true,4.5,AAA",
        "SHAPE,false,2.99,FAILS",
        "SHAPE,false,3,AAA"
    })
    void levels(Meeting.Kind kind, boolean large, double ratio, Meeting.Level level) {
        assertThat(new Meeting("surface.page.text", "surface.page.ground", kind, "body", "").level(ratio, large))
                .isEqualTo(level);
    }
}
