package org.umberloom.app.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import org.umberloom.app.RealDatabase;

/** Pictures by what is in them, as MariaDB keeps them. */
class PicturesInTheDatabaseTest {
    private static final byte[] CONTENT = {0, 1, (byte) 0xff, 0x27, 0x5c};

    private final RealDatabase database = RealDatabase.shared();
    private final PictureMapper pictures = database.bean(PictureMapper.class);
    private final JdbcTemplate sql = new JdbcTemplate(database.bean(DataSource.class));
    private final String hash = (UUID.randomUUID() + "" + UUID.randomUUID()).replace("-", "");

    private long theme() {
        sql.update("insert into theme (name, document, revision, changed_at) values ('Fog', '{}', 0, now(3))");
        return sql.queryForObject("select max(id) from theme", Long.class);
    }

    private void older() {
        sql.update("update picture_content set kept_at = kept_at - interval 2 day where hash = ?", hash);
    }

    @Test
    void bytesComeBackAsTheyWereKept() {
        pictures.keep(hash, "image/png", CONTENT, new byte[] {9});
        pictures.keep(hash, "image/png", CONTENT, new byte[] {9});
        assertThat(pictures.content(hash).orElseThrow().bytes()).isEqualTo(CONTENT);
        assertThat(pictures.tones(hash).orElseThrow().bytes()).containsExactly(9);
    }

    @Test
    void whatAThemeUsesIsKeptAndWhatNobodyUsesGoesAfterADay() {
        long theme = theme();
        pictures.keep(hash, "image/png", CONTENT, new byte[0]);
        pictures.dropUnused();
        assertThat(pictures.content(hash)).as("may be about to be used").isPresent();
        pictures.use(theme, hash);
        pictures.use(theme, hash);
        older();
        pictures.dropUnused();
        assertThat(pictures.content(hash)).as("in use").isPresent();
        pictures.release(theme);
        pictures.dropUnused();
        assertThat(pictures.content(hash)).isEmpty();
    }

    @Test
    void aPictureThatIsNotKeptIsNotUsed() {
        long theme = theme();
        pictures.use(theme, hash);
        assertThat(sql.queryForObject("select count(*) from picture_use where theme_id = ?", Integer.class, theme))
                .isZero();
    }
}
