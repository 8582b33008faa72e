package org.umberloom.app.release;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface ReleaseMapper {
    /** Receives the key of a new row. */
    final class NewRelease {
        private long id;
        private final long themeId;
        private final int major;
        private final int minor;
        private final int patch;
        private final int trial;
        private final int revision;
        private final String document;
        private final String hash;
        private final String notes;
        private final String reason;
        private final long accountId;
        private final LocalDateTime madeAt;

        NewRelease(
                long themeId,
                org.umberloom.core.change.ReleaseNumber number,
                int revision,
                String document,
                String hash,
                String notes,
                String reason,
                long accountId,
                LocalDateTime madeAt) {
            this.themeId = themeId;
            this.major = number.major();
            this.minor = number.minor();
            this.patch = number.patch();
            this.trial = number.trial();
            this.revision = revision;
            this.document = document;
            this.hash = hash;
            this.notes = notes;
            this.reason = reason;
            this.accountId = accountId;
            this.madeAt = madeAt;
        }

        long id() {
            return id;
        }
    }

    /** A release without its document. */
    record ReleaseRow(
            long id,
            long themeId,
            int major,
            int minor,
            int patch,
            int trial,
            int revision,
            String hash,
            String notes,
            String reason,
            String person,
            LocalDateTime madeAt) {}

    /** What is kept of a release whole. */
    record KeptRow(String document, String hash) {}

    String ROW = "select r.id, r.theme_id, r.major, r.minor, r.patch, r.trial, r.revision, r.hash, r.notes, r.reason, "
            + "a.name as person, r.made_at from theme_release r join account a on a.id = r.account_id ";

    @Select(ROW + "where r.theme_id = #{theme} order by r.id desc")
    List<ReleaseRow> all(long theme);

    @Select(ROW + "where r.id = #{id}")
    Optional<ReleaseRow> find(long id);

    @Select("select document, hash from theme_release where id = #{id}")
    Optional<KeptRow> kept(long id);

    /** Keeps everybody else from releasing this theme until the transaction ends. */
    @Select("select revision from theme where id = #{theme} for update")
    Optional<Integer> lock(long theme);

    @Insert("insert into theme_release (theme_id, major, minor, patch, trial, revision, document, hash, notes, reason, "
            + "account_id, made_at) values (#{themeId}, #{major}, #{minor}, #{patch}, #{trial}, #{revision}, "
            + "#{document}, #{hash}, #{notes}, #{reason}, #{accountId}, #{madeAt})")
    @Options(useGeneratedKeys = true, keyProperty = "id")
    void add(NewRelease release);

    /** A site with what it stands on. */
    record StandingRow(long id, String slug, String name, Long releaseId, String follows, LocalDateTime since) {}

    @Select("select s.id, s.slug, s.name, s.release_id, s.follows, "
            + "(select max(since) from site_stood d where d.site_id = s.id) as since from site s "
            + "where s.theme_id = #{theme} and s.put_away_at is null order by s.name, s.id")
    List<StandingRow> standing(long theme);

    @Select(
            "select s.id, s.slug, s.name, s.release_id, s.follows, "
                    + "(select max(since) from site_stood d where d.site_id = s.id) as since from site s where s.slug = #{site}")
    Optional<StandingRow> standingOf(@Param("site") String site);

    /** One entry of what a site stood on. */
    record StoodRow(Long releaseId, String way, String person, LocalDateTime since) {}

    @Select(
            "select d.release_id, d.way, a.name as person, d.since from site_stood d join account a on a.id = d.account_id "
                    + "where d.site_id = #{site} order by d.id desc limit 100")
    List<StoodRow> stood(long site);

    /** An entry of all sites of a theme. */
    record ThreadRow(String slug, Long releaseId, String way, LocalDateTime since) {}

    @Select("select s.slug, d.release_id, d.way, d.since from site_stood d join site s on s.id = d.site_id "
            + "where s.theme_id = #{theme} and s.put_away_at is null order by d.id")
    List<ThreadRow> threads(long theme);
}
