package org.umberloom.app.publish;

import java.time.LocalDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface BuildMapper {
    /** Receives the key of a new row. */
    final class NewBuild {
        private long id;
        private final long siteId;
        private final int number;
        private final long releaseId;
        private final int siteRevision;
        private final String hash;
        private final String token;
        private final long bytes;
        private final long accountId;
        private final LocalDateTime madeAt;

        NewBuild(
                long siteId,
                int number,
                long releaseId,
                int siteRevision,
                String hash,
                String token,
                long bytes,
                long accountId,
                LocalDateTime madeAt) {
            this.siteId = siteId;
            this.number = number;
            this.releaseId = releaseId;
            this.siteRevision = siteRevision;
            this.hash = hash;
            this.token = token;
            this.bytes = bytes;
            this.accountId = accountId;
            this.madeAt = madeAt;
        }

        long id() {
            return id;
        }
    }

    record BuildRow(
            long id,
            int number,
            long releaseId,
            int siteRevision,
            String hash,
            String token,
            long bytes,
            String person,
            LocalDateTime madeAt) {}

    /** A file of a build. */
    record FileRow(String name, String hash) {}

    /** A content with what it is told by. */
    record Content(String hash, byte[] content) {}

    /** Keeps everybody else from building this site until the transaction ends. */
    @Select("select id from site where slug = #{site} for update")
    Optional<Long> lock(String site);

    @Select("select coalesce(max(number), 0) + 1 from build where site_id = #{site}")
    int nextNumber(long site);

    @Insert(
            "insert into build (site_id, number, release_id, site_revision, hash, token, bytes, account_id, made_at) values "
                    + "(#{siteId}, #{number}, #{releaseId}, #{siteRevision}, #{hash}, #{token}, #{bytes}, #{accountId}, #{madeAt})")
    @Options(useGeneratedKeys = true, keyProperty = "id")
    void add(NewBuild build);

    @Insert("insert ignore into build_content (hash, content) values (#{one.hash}, #{one.content})")
    void keep(@Param("one") Content one);

    @Insert(
            "<script>insert into build_file (build_id, name, hash) values "
                    + "<foreach item='file' collection='files' separator=','>(#{build}, #{file.name}, #{file.hash})</foreach></script>")
    void addFiles(@Param("build") long build, @Param("files") Collection<FileRow> files);

    @Select(
            "select b.id, b.number, b.release_id, b.site_revision, b.hash, b.token, b.bytes, a.name as person, b.made_at "
                    + "from build b join account a on a.id = b.account_id where b.site_id = #{site} order by b.number desc limit 60")
    List<BuildRow> all(long site);

    @Select(
            "select content from build b join build_file f on f.build_id = b.id join build_content c on c.hash = f.hash "
                    + "where b.token = #{token} and f.name = #{name}")
    Optional<Held> file(String token, String name);

    /** A file with its content. */
    record Whole(String name, byte[] content) {}

    @Select(
            "select f.name, c.content from build b join build_file f on f.build_id = b.id join build_content c on c.hash = f.hash "
                    + "where b.site_id = #{site} and b.number = #{number}")
    List<Whole> whole(long site, int number);

    /** A content alone. */
    record Held(byte[] content) {}

    @Insert("insert into site_live (site_id, build_id, account_id, since) values (#{site}, #{build}, #{by}, #{at})")
    void putLive(long site, long build, long by, LocalDateTime at);

    /** What was live from when. */
    record LiveRow(long buildId, int number, String person, LocalDateTime since) {}

    @Select("select l.build_id, b.number, a.name as person, l.since from site_live l join build b on b.id = l.build_id "
            + "join account a on a.id = l.account_id where l.site_id = #{site} order by l.id desc limit 60")
    List<LiveRow> live(long site);
}
