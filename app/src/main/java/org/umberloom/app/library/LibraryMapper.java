package org.umberloom.app.library;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.umberloom.app.theme.Shown;

/** Themes as the library lists them: by what is kept of each, never by its document. */
@Mapper
interface LibraryMapper {
    /** @param card what the library shows of it, as JSON; null where there is none in the form of now */
    record Row(long id, String name, int revision, LocalDateTime changedAt, boolean putAway, String card) {}

    /** What is lost with a theme. */
    record Lost(String name, int revisions, int checkpoints) {}

    String LISTED = "from theme where (put_away_at is not null) = #{putAway} and (#{like} = '' or name like #{like})";
    String COLUMNS = "select id, name, revision, changed_at, put_away_at is not null as put_away, if(card_form = "
            + Shown.FORM + ", card, null) as card ";

    @Select(COLUMNS + LISTED + " order by changed_at desc, id desc limit #{from}, #{most}")
    List<Row> page(boolean putAway, String like, int from, int most);

    @Select("select count(*) " + LISTED)
    int count(boolean putAway, String like);

    @Select(COLUMNS + "from theme where id = #{id}")
    Optional<Row> find(long id);

    @Update("update theme set card = #{card}, card_form = " + Shown.FORM
            + " where id = #{id} and revision = #{revision}")
    void keepCard(long id, int revision, String card);

    @Update("update theme set put_away_at = #{at} where id = #{id}")
    int putAway(long id, LocalDateTime at);

    @Select("select name, revision + 1 as revisions, (select count(*) from checkpoint where theme_id = #{id}) as "
            + "checkpoints from theme where id = #{id}")
    Optional<Lost> lost(long id);

    @Select("select document from theme where id = #{id}")
    Optional<String> document(long id);

    @Select("select id from theme order by id")
    List<Long> all();

    @Delete("delete from checkpoint where theme_id = #{id}")
    void removeCheckpoints(long id);

    @Delete("delete from revision where theme_id = #{id}")
    void removeLog(long id);

    @Delete("delete from theme where id = #{id}")
    int remove(long id);
}
