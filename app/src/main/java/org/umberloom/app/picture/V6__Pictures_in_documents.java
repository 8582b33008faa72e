package org.umberloom.app.picture;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.Statement;
import java.util.LinkedHashMap;
import java.util.Map;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.umberloom.core.format.ThemeJson;
import org.umberloom.core.theme.Picture;
import org.umberloom.core.theme.ThemeDocument;
import org.umberloom.core.token.Fingerprint;

/**
 * Pictures that stood beside a theme by their names are kept by their contents, and named in the theme's document and in the
 * whole documents of its log. A document that cannot be read, and a picture that no longer may be kept, stay as they were.
 */
@Component
class V6__Pictures_in_documents extends BaseJavaMigration {
    private static final Logger LOG = LoggerFactory.getLogger(V6__Pictures_in_documents.class);

    @Override
    public void migrate(Context context) throws Exception {
        Connection database = context.getConnection();
        Map<Long, Map<String, Picture>> byTheme = new LinkedHashMap<>();
        try (Statement select = database.createStatement();
                ResultSet row = select.executeQuery(
                        "select theme_id, name, media_type, license, content, tones from ground_picture order by theme_id, name")) {
            while (row.next()) keep(database, row, byTheme);
        }
        for (Map.Entry<Long, Map<String, Picture>> theme : byTheme.entrySet()) {
            rewrite(
                    database,
                    "select id, document from theme where id = " + theme.getKey(),
                    "update theme set document = ? where id = ?",
                    theme.getValue());
            rewrite(
                    database,
                    "select number, document from revision where document is not null and theme_id = " + theme.getKey(),
                    "update revision set document = ? where theme_id = " + theme.getKey() + " and number = ?",
                    theme.getValue());
        }
    }

    private static void keep(Connection database, ResultSet row, Map<Long, Map<String, Picture>> byTheme)
            throws Exception {
        byte[] content = row.getBytes("content");
        String hash = Fingerprint.of(content);
        Picture picture;
        try {
            picture = new Picture(
                    row.getString("name"), hash, row.getString("media_type"), row.getString("license"), content.length);
        } catch (IllegalArgumentException e) {
            LOG.warn(
                    "the picture {} of theme {} stays where it is: {}",
                    row.getString("name"),
                    row.getLong("theme_id"),
                    e.getMessage());
            return;
        }
        try (PreparedStatement insert = database.prepareStatement(
                        "insert ignore into picture_content (hash, media_type, content, tones) values (?, ?, ?, ?)");
                PreparedStatement use =
                        database.prepareStatement("insert ignore into picture_use (theme_id, hash) values (?, ?)")) {
            insert.setString(1, hash);
            insert.setString(2, picture.mediaType());
            insert.setBytes(3, content);
            insert.setBytes(4, row.getBytes("tones"));
            insert.executeUpdate();
            use.setLong(1, row.getLong("theme_id"));
            use.setString(2, hash);
            use.executeUpdate();
        }
        byTheme.computeIfAbsent(row.getLong("theme_id"), key -> new LinkedHashMap<>())
                .put(picture.name(), picture);
    }

    private static void rewrite(Connection database, String select, String update, Map<String, Picture> pictures)
            throws Exception {
        try (Statement reading = database.createStatement();
                ResultSet row = reading.executeQuery(select);
                PreparedStatement writing = database.prepareStatement(update)) {
            while (row.next()) {
                try {
                    ThemeDocument theme = ThemeJson.readInline(row.getString(2));
                    writing.setString(1, ThemeJson.writeInline(Picture.with(theme, pictures)));
                    writing.setLong(2, row.getLong(1));
                    writing.executeUpdate();
                } catch (IllegalArgumentException unreadable) {
                    LOG.warn("a document stays as it is: {}", unreadable.getMessage());
                }
            }
        }
    }
}
