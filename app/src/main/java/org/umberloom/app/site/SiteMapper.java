package org.umberloom.app.site;

import java.time.LocalDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.umberloom.core.theme.PictureFacts;
import org.umberloom.kit.SitePicture;

@Mapper
interface SiteMapper {
    String ENTRY =
            "site_id, number, kind, label, target, undo_top, redo_top, below, edit, inverse, account_id, made_at";

    /** A part of a site's document, as JSON. */
    record PartRow(String name, String content) {}

    /** One entry of a site's log; the stacks are as in the log of themes. */
    record EntryRow(
            long siteId,
            int number,
            String kind,
            String label,
            Integer target,
            Integer undoTop,
            Integer redoTop,
            Integer below,
            String edit,
            String inverse,
            long accountId,
            LocalDateTime madeAt) {}

    /** A site with what was counted of it; facts are empty until they were. */
    record CountedRow(long id, String slug, String name, long themeId, int revision, String facts) {}

    @Select("select id, slug, name, theme_id from site order by id")
    List<Site> all();

    @Select("select id, slug, name, theme_id from site where slug = #{slug}")
    Optional<Site> bySlug(String slug);

    @Select("select id, slug, name, theme_id, revision, coalesce(facts, '') as facts from site "
            + "where put_away_at is null order by name, id")
    List<CountedRow> counted();

    /** A site that was put away, and when. */
    record AwayRow(String slug, String name, LocalDateTime at) {}

    @Select("select slug, name, put_away_at as at from site where put_away_at is not null order by put_away_at desc")
    List<AwayRow> away();

    /** @param at when; none brings it back */
    @Update("update site set put_away_at = #{at} where slug = #{slug}")
    int putAway(String slug, LocalDateTime at);

    @Select("select revision from site where id = #{id}")
    Optional<Integer> revisionOf(long id);

    /** Keeps everybody else from storing this site until the transaction ends. */
    @Select("select revision from site where id = #{id} for update")
    Optional<Integer> lock(long id);

    @Select("select name, content from site_part where site_id = #{id}")
    List<PartRow> parts(long id);

    @Insert("insert into site_part (site_id, name, content) values (#{id}, #{name}, #{content}) "
            + "on duplicate key update content = values(content)")
    void putPart(long id, String name, String content);

    @Delete("delete from site_part where site_id = #{id} and name = #{name}")
    void removePart(long id, String name);

    /** One row when the site still stood at the revision before; none when somebody was faster. */
    @Update(
            "update site set name = #{name}, facts = #{facts}, uses = #{uses}, revision = #{revision}, changed_at = #{at} "
                    + "where id = #{id} and revision = #{revision} - 1")
    int advance(long id, String name, String facts, String uses, int revision, LocalDateTime at);

    @Update("update site set facts = #{facts}, uses = #{uses} where id = #{id} and revision = #{revision}")
    void keepFacts(long id, int revision, String facts, String uses);

    /** A site with the roles that its pages take. */
    record UsesRow(long id, String slug, String name, int revision, String facts, String uses) {}

    @Select("select id, slug, name, revision, coalesce(facts, '') as facts, "
            + "coalesce(uses, '') as uses from site where theme_id = #{theme} and put_away_at is null "
            + "order by name, id")
    List<UsesRow> uses(long theme);

    @Insert(
            "insert into site_revision (" + ENTRY + ") values (#{r.siteId}, #{r.number}, #{r.kind}, #{r.label}, "
                    + "#{r.target}, #{r.undoTop}, #{r.redoTop}, #{r.below}, #{r.edit}, #{r.inverse}, #{r.accountId}, #{r.madeAt})")
    void log(@Param("r") EntryRow entry);

    @Select("select " + ENTRY + " from site_revision where site_id = #{id} and number = #{number}")
    Optional<EntryRow> entry(long id, int number);

    @Select("select " + ENTRY + " from site_revision where site_id = #{id} and number > #{after} order by number")
    List<EntryRow> since(long id, int after);

    record StampRow(long id, long stamp) {}

    @Select(
            "<script>select theme_id as id, sum(revision + 1) as stamp from site where theme_id in "
                    + "<foreach item='id' collection='themes' open='(' separator=',' close=')'>#{id}</foreach> group by theme_id</script>")
    List<StampRow> stamps(@Param("themes") Collection<Long> themes);

    /** An entry as people read it. */
    record HistoryRow(int number, String kind, String label, String person, LocalDateTime at) {}

    /** The entries before one, the newest first. */
    @Select("select r.number, r.kind, r.label, a.name as person, r.made_at as at from site_revision r "
            + "join account a on a.id = r.account_id where r.site_id = #{id} and r.number < #{before} "
            + "order by r.number desc limit #{most}")
    List<HistoryRow> history(long id, int before, int most);

    /** A theme that a site wore, and until when. */
    record WoreRow(long themeId, String theme, LocalDateTime until) {}

    @Select(
            "select w.theme_id, coalesce(t.name, '') as theme, w.until from site_wore w left join theme t on t.id = w.theme_id "
                    + "where w.site_id = #{id} order by w.until desc limit 20")
    List<WoreRow> wore(long id);

    @Insert("insert into site_wore (site_id, theme_id, until) values (#{id}, #{theme}, #{until}) "
            + "on duplicate key update until = values(until)")
    void keepWore(long id, long theme, LocalDateTime until);

    @Delete("delete from site_wore where site_id = #{id} and theme_id = #{theme}")
    void removeOneWore(long id, long theme);

    /** What it stood on was a release of the theme before. @param arrived entry of the log with what else the switch changed; or none */
    @Update(
            "update site set release_id = if(theme_id = #{theme}, release_id, null), theme_id = #{theme}, arrived_with = #{arrived} "
                    + "where id = #{id}")
    void wear(@Param("id") long id, @Param("theme") long theme, @Param("arrived") Integer arrived);

    @Select("select arrived_with from site where id = #{id} and arrived_with is not null")
    Optional<Integer> arrivedWith(long id);

    @Delete("delete from site_part where site_id = #{id}")
    void removeParts(long id);

    @Delete("delete from site_revision where site_id = #{id}")
    void removeLog(long id);

    @Delete("delete from picture where site_id = #{id}")
    void removePictures(long id);

    @Delete("delete from site_wore where site_id = #{id}")
    void removeWore(long id);

    @Delete("delete from site where id = #{id}")
    void remove(long id);

    @Select("select name, media_type, license, source, alt, focal_x, focal_y, placeholder, width, height, content "
            + "from picture where site_id = #{siteId} order by name")
    List<SitePicture> pictures(long siteId);

    /** Without what they show: their lengths in its place. */
    @Select("select name, media_type, license, source, alt, focal_x, focal_y, placeholder, width, height, "
            + "length(content) as bytes from picture where site_id = #{siteId} order by name")
    List<PictureRow> pictureRows(long siteId);

    /** A picture without what it shows. */
    record PictureRow(
            String name,
            String mediaType,
            String license,
            String source,
            String alt,
            double focalX,
            double focalY,
            boolean placeholder,
            int width,
            int height,
            long bytes) {}

    @Update("update picture set license = #{facts.license}, source = #{facts.source}, alt = #{facts.alt}, "
            + "focal_x = #{facts.focalX}, focal_y = #{facts.focalY} where site_id = #{siteId} and name = #{name}")
    int describePicture(long siteId, String name, PictureFacts facts);

    @Delete("delete from picture where site_id = #{siteId} and name = #{name}")
    int removePicture(long siteId, String name);

    @Select(
            "select p.name, p.media_type, p.license, p.source, p.alt, p.focal_x, p.focal_y, p.placeholder, p.width, p.height, "
                    + "p.content from picture p join site s on s.id = p.site_id "
                    + "where s.slug = #{site} and p.name = #{name}")
    Optional<SitePicture> picture(String site, String name);

    @Select("select name from picture where site_id = #{siteId} order by name")
    List<String> pictureNames(long siteId);

    @Insert("insert into site (slug, name, theme_id) values (#{slug}, #{name}, #{themeId})")
    void addSite(String slug, String name, long themeId);

    @Insert(
            "insert into picture (site_id, name, media_type, license, source, alt, focal_x, focal_y, placeholder, width, "
                    + "height, content) values (#{siteId}, #{one.name}, #{one.mediaType}, #{one.license}, #{one.source}, #{one.alt}, "
                    + "#{one.focalX}, #{one.focalY}, #{one.placeholder}, #{one.width}, #{one.height}, #{one.content})")
    void addPicture(long siteId, SitePicture one);
}
