package org.umberloom.core.page;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.umberloom.core.contract.Contract;
import org.umberloom.core.contract.Part;

class PartSpotsTest {
    private static int count(String part, String body) {
        Part known = Contract.standard().parts().stream()
                .filter(one -> one.name().equals(part))
                .findFirst()
                .orElseThrow();
        return PartSpots.count("<!doctype html><body>" + body + "</body>", PartSpots.selectors(known));
    }

    @Test
    void aPartIsCountedOnceWhereverItStands() {
        String cards = "<main><ul data-part=cards><li data-part=card>One<li data-part=card>Other</ul>"
                + "<div data-part=card>Alone</div></main>";
        assertThat(count("card", cards)).isEqualTo(2);
        assertThat(count("button", "<button>One</button><a href=# data-part=button>Other</a><a href=#>No</a>"))
                .isEqualTo(2);
        assertThat(count("header", "<header></header><main><header></header></main>"))
                .isEqualTo(1);
        assertThat(count("quote", cards)).isZero();
    }
}
