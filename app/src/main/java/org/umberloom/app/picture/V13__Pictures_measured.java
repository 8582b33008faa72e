package org.umberloom.app.picture;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.Statement;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import org.springframework.stereotype.Component;
import org.umberloom.kit.picture.PictureReader;

/** Pictures that came before their sizes were kept are measured. */
@Component
class V13__Pictures_measured extends BaseJavaMigration {
    private final PictureReader reader = new PictureReader();

    @Override
    public void migrate(Context context) throws Exception {
        Connection database = context.getConnection();
        try (Statement select = database.createStatement();
                ResultSet row =
                        select.executeQuery("select id, content from picture where media_type <> 'image/svg+xml'");
                PreparedStatement update =
                        database.prepareStatement("update picture set width = ?, height = ? where id = ?")) {
            while (row.next()) measure(row, update);
        }
    }

    /** One that cannot be read any more is shown as it is. */
    private void measure(ResultSet row, PreparedStatement update) throws Exception {
        PictureReader.Seen seen;
        try {
            seen = reader.read(row.getBytes("content"));
        } catch (IllegalArgumentException e) {
            return;
        }
        update.setInt(1, seen.width());
        update.setInt(2, seen.height());
        update.setLong(3, row.getLong("id"));
        update.executeUpdate();
    }
}
