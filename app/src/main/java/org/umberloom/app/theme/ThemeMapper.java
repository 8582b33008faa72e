package org.umberloom.app.theme;

import java.time.LocalDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface ThemeMapper {
    String REVISION =
            "theme_id, number, kind, label, target, undo_top, redo_top, below, edit, inverse, account_id, made_at, document";

    /** Receives the key of a new row. */
    final class NewTheme {
        private long id;
        private final String name;
        private final String document;
        private final String card;
        private final int form = Shown.FORM;
        private final LocalDateTime at;

        NewTheme(String name, String document, String card, LocalDateTime at) {
            this.name = name;
            this.document = document;
            this.card = card;
            this.at = at;
        }

        long id() {
            return id;
        }

        String document() {
            return document;
        }
    }

    /** One line of the history; the checkpoint's name is empty where none stands there. */
    record HistoryRow(int number, String kind, String label, String person, LocalDateTime madeAt, String checkpoint) {}

    @Select("select id, name, document, revision, changed_at from theme where id = #{id}")
    Optional<ThemeRow> find(long id);

    /** Those in whose document a text stands somewhere, the last changed first. @param pattern as of SQL's like */
    @Select(
            "select id, name, document, revision, changed_at from theme where put_away_at is null and document like #{pattern} "
                    + "order by changed_at desc, id limit #{most}")
    List<ThemeRow> holding(@Param("pattern") String pattern, @Param("most") int most);

    @Select("select id from theme where put_away_at is null order by changed_at desc, id limit 1")
    Optional<Long> lastChanged();

    @Select("select revision from theme where id = #{id}")
    Optional<Integer> revisionOf(long id);

    /** Keeps everybody else from storing this theme until the transaction ends. */
    @Select("select revision from theme where id = #{id} for update")
    Optional<Integer> lock(long id);

    /** A theme and its newest revision. */
    record At(long id, int revision) {}

    /** The newest revisions of some themes; those that are not there are left out. */
    @Select(
            "<script>select id, revision from theme where id in <foreach item='id' collection='ids' open='(' separator=',' close=')'>#{id}"
                    + "</foreach></script>")
    List<At> revisionsOf(@Param("ids") Collection<Long> ids);

    @Insert("insert into theme (name, document, card, card_form, revision, changed_at) values (#{name}, #{document}, "
            + "#{card}, #{form}, 0, #{at})")
    @Options(useGeneratedKeys = true, keyProperty = "id")
    void add(NewTheme theme);

    /** One row when the theme still stood at the revision before; none when somebody was faster. */
    @Update("update theme set name = #{name}, document = #{document}, card = #{card}, card_form = " + Shown.FORM
            + ", revision = #{revision}, changed_at = #{at} where id = #{id} and revision = #{revision} - 1")
    int advance(long id, String name, String document, String card, int revision, LocalDateTime at);

    @Insert("insert into revision (" + REVISION + ") values (#{r.themeId}, #{r.number}, #{r.kind}, #{r.label}, "
            + "#{r.target}, #{r.undoTop}, #{r.redoTop}, #{r.below}, #{r.edit}, #{r.inverse}, #{r.accountId}, "
            + "#{r.madeAt}, #{r.document})")
    void log(@Param("r") RevisionRow revision);

    @Select("select " + REVISION + " from revision where theme_id = #{themeId} and number = #{number}")
    Optional<RevisionRow> revision(long themeId, int number);

    /** What was done after a revision, without the whole documents. */
    @Select(
            "select theme_id, number, kind, label, target, undo_top, redo_top, below, edit, inverse, account_id, made_at, null as document "
                    + "from revision where theme_id = #{themeId} and number > #{after} order by number")
    List<RevisionRow> since(long themeId, int after);

    @Select(
            "select r.number, r.kind, r.label, a.name as person, r.made_at, coalesce(c.name, '') as checkpoint from revision r "
                    + "join account a on a.id = r.account_id left join checkpoint c on c.theme_id = r.theme_id and c.number = r.number "
                    + "where r.theme_id = #{themeId} and r.number < #{before} order by r.number desc limit #{most}")
    List<HistoryRow> history(long themeId, int before, int most);

    @Select("select r.number, r.kind, r.label, a.name as person, r.made_at, c.name as checkpoint from checkpoint c "
            + "join revision r on r.theme_id = c.theme_id and r.number = c.number join account a on a.id = r.account_id "
            + "where c.theme_id = #{themeId} order by r.number desc")
    List<HistoryRow> checkpoints(long themeId);

    @Insert(
            "insert into checkpoint (theme_id, number, name, account_id, made_at) values (#{themeId}, #{number}, #{name}, "
                    + "#{accountId}, #{at}) on duplicate key update name = values(name)")
    void mark(long themeId, int number, String name, long accountId, LocalDateTime at);

    @Delete("delete from checkpoint where theme_id = #{themeId} and number = #{number}")
    void unmark(long themeId, int number);

    /** The nearest entry from a number on that keeps the whole theme. */
    @Select("select number from revision where theme_id = #{themeId} and number >= #{from} and document is not null "
            + "order by number limit 1")
    Optional<Integer> nearestWhole(long themeId, int from);
}
