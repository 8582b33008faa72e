package org.umberloom.app.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDateTime;
import java.util.UUID;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.umberloom.app.RealDatabase;
import org.umberloom.app.theme.Shown;

/** The library's list as MariaDB keeps it. */
class LibraryInTheDatabaseTest {
    private static final LocalDateTime NOW = LocalDateTime.parse("2026-01-02T03:04:05.678");

    private final RealDatabase database = RealDatabase.shared();
    private final LibraryMapper library = database.bean(LibraryMapper.class);
    private final JdbcTemplate sql = new JdbcTemplate(database.bean(DataSource.class));
    private final String mark = UUID.randomUUID().toString();
    private long lead;

    @BeforeEach
    void aLead() {
        lead = database.lead().id();
    }

    private long added(String name, LocalDateTime changed, int form) {
        sql.update(
                "insert into theme (name, document, card, card_form, revision, changed_at) values (?, '{}', '{\"c\":1}', ?, 0, ?)",
                name + " " + mark,
                form,
                changed);
        long id = sql.queryForObject("select max(id) from theme", Long.class);
        sql.update(
                "insert into revision (theme_id, number, kind, label, account_id, made_at) values (?, 0, 'start', 's', ?, ?)",
                id,
                lead,
                changed);
        return id;
    }

    @Test
    void theNewestChangeComesFirstAndPagesLeaveNoneOut() {
        long first = added("Fog", NOW, Shown.FORM);
        long third = added("Tide", NOW.minusDays(2), Shown.FORM);
        long second = added("Reed", NOW.minusDays(1), Shown.FORM);
        String like = "%" + mark + "%";
        assertThat(library.count(false, like)).isEqualTo(3);
        assertThat(library.page(false, like, 0, 2))
                .extracting(LibraryMapper.Row::id)
                .containsExactly(first, second);
        assertThat(library.page(false, like, 2, 2))
                .extracting(LibraryMapper.Row::id)
                .containsExactly(third);
        assertThat(library.page(false, "%fog " + mark + "%", 0, 9))
                .as("letters of either case")
                .hasSize(1);
    }

    @Test
    void whatIsPutAwayIsListedByItself() {
        long id = added("Fog", NOW, Shown.FORM);
        String like = "%" + mark + "%";
        assertThat(library.putAway(id, NOW)).isEqualTo(1);
        assertThat(library.count(false, like)).isZero();
        assertThat(library.page(true, like, 0, 9)).singleElement().satisfies(row -> assertThat(row.putAway())
                .isTrue());
        library.putAway(id, null);
        assertThat(library.count(false, like)).isEqualTo(1);
    }

    @Test
    void aCardOfAnEarlierFormIsNoneUntilItIsKeptAnew() {
        long id = added("Fog", NOW, Shown.FORM - 1);
        assertThat(library.find(id).orElseThrow().card()).isNull();
        library.keepCard(id, 7, "{\"of\":\"another revision\"}");
        assertThat(library.find(id).orElseThrow().card()).isNull();
        library.keepCard(id, 0, "{\"anew\":1}");
        assertThat(library.find(id).orElseThrow().card()).isEqualTo("{\"anew\":1}");
    }

    @Test
    void aThemeGoesOnlyWithEverythingThatIsOfIt() {
        long id = added("Fog", NOW, Shown.FORM);
        sql.update("insert into checkpoint values (?, 0, 'before', ?, ?)", id, lead, NOW);
        assertThat(library.lost(id)).contains(new LibraryMapper.Lost("Fog " + mark, 1, 1));
        assertThatThrownBy(() -> library.remove(id)).isInstanceOf(DataIntegrityViolationException.class);
        assertThat(library.document(id)).contains("{}");
        database.inTransaction(() -> {
            library.removeCheckpoints(id);
            library.removeLog(id);
            return library.remove(id);
        });
        assertThat(library.find(id)).isEmpty();
        assertThat(library.all()).doesNotContain(id);
    }
}
